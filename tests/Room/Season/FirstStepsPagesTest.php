<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Tests\PageTestCase;

/** What a new account sees first, until all four are done or it is closed. */
final class FirstStepsPagesTest extends PageTestCase
{
    public function testEachStepHasItsTickAndTheyGoWhenAllAreDone(): void
    {
        $this->browser->loginUser($this->account());
        $page = $this->get('/season');
        self::assertStringContainsString('0 of 4 done', self::says($page, '#first-steps'));
        $page = $this->browser->click($page->filter('#first-steps a')->first()->link());
        self::assertCount(3, $page->filter('.haul-lines > li'), 'the example is read at once');
        $this->send('Add them to the stash', []);
        $this->browser->click($this->get('/season')->filter('#first-steps a')->first()->link());
        $this->send('Put them into the library', []);
        $this->get('/people');
        $this->send('Add', ['name' => 'Maud']);
        self::assertStringContainsString('3 of 4 done', self::says($this->get('/season'), '#first-steps'));
        self::assertCount(3, $this->browser->getCrawler()->filter('#first-steps .is-done'));
        $this->get('/season/new');
        $this->send('Save the season', ['name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => '13']);
        self::assertCount(1, $this->get('/season')->filter('#first-steps'));
        $this->get('/project/new');
        $this->send('Save the project', ['name' => 'Coat']);
        self::assertCount(0, $this->get('/season')->filter('#first-steps'));
    }

    public function testTheyAreClosedForGoodAndTheDemoHasNone(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/season');
        $this->send('Close the first steps', []);
        self::assertResponseRedirects('/season');
        self::assertCount(0, $this->get('/season')->filter('#first-steps'));
        self::assertTrue($this->fresh($account)->firstStepsClosed);
        $this->signInToDemo();
        self::assertCount(0, $this->get('/season')->filter('#first-steps'));
    }
}
