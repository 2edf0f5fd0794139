<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\IgnoreDeprecations;
use Sabre\VObject\Reader;

#[IgnoreDeprecations]
final class CalendarTest extends PageTestCase
{
    public function testASeasonIsAFileThatAStandardParserFindsNoFaultIn(): void
    {
        $this->signInToDemo();
        $this->browser->click($this->get('/season')->selectLink('Calendar')->link());
        $response = $this->browser->getResponse();
        self::assertSame('text/calendar; charset=utf-8', $response->headers->get('Content-Type'));
        $this->sound((string) $response->getContent());
        self::assertMatchesRegularExpression('/SUMMARY:Begin Choir dress\r\n/', (string) $response->getContent());
        self::assertMatchesRegularExpression('/SUMMARY:Choir dress is due\r\n/', (string) $response->getContent());
        self::assertMatchesRegularExpression('/DTSTART;VALUE=DATE:2027\d{4}\r\n/', (string) $response->getContent());
    }

    public function testAPrivateAddressIsMadeReadWithoutSigningInAndTakenAway(): void
    {
        $this->signInToDemo();
        $page = $this->get('/settings');
        $this->browser->submit($page->selectButton('Make a private address')->form());
        $address = (string) $this->browser->followRedirect()->filter('#feed')->attr('value');
        self::assertMatchesRegularExpression('~/feed/[0-9a-f]{40}\.ics$~', $address);
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', $address);
        self::assertSame(200, $this->browser->getResponse()->getStatusCode());
        self::assertTrue($this->browser->getResponse()->headers->hasCacheControlDirective('no-store'));
        $this->sound((string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', (string) preg_replace('~[0-9a-f]{40}~', str_repeat('0', 40), $address));
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
        $this->signInToDemo();
        $this->browser->submit($this->get('/settings')->selectButton('Take it away')->form());
        $this->browser->request('GET', $address);
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', '/season/'.$this->project('Choir dress')->season->id.'/calendar.ics');
        self::assertSame(404, $this->browser->getResponse()->getStatusCode(), 'another account’s');
    }

    public function testAChangedPasswordEndsThePrivateAddress(): void
    {
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->submit($this->get('/settings')->selectButton('Make a private address')->form());
        $page = $this->browser->followRedirect();
        $address = (string) $page->filter('#feed')->attr('value');
        $this->send('Change the password', ['currentPassword' => 'four quiet lockers', 'password' => 'five quiet lockers']);
        self::assertStringContainsString('the calendar’s private address has ended', self::says($this->browser->followRedirect()));
        $this->browser->request('GET', $address);
        self::assertResponseStatusCodeSame(404);
    }

    private function sound(string $calendar): void
    {
        $read = Reader::read($calendar);
        self::assertSame([], $read->validate());
        self::assertGreaterThan(5, substr_count($calendar, 'BEGIN:VEVENT'));
    }
}
