<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** From a cloth's page to what happens to it and what it can become. */
final class BecomesPagesTest extends PageTestCase
{
    public function testTheBestThreeOfWhatItCanBecomeAreOnePressAway(): void
    {
        $this->signInToDemo();
        $page = $this->get('/cloth/'.$this->cloth('Moss linen')->id);
        $best = $this->get((string) $page->filter('#becomes [data-url]')->attr('data-url'));
        self::assertCount(3, $best->filter('.becomes-row'));
        $patterns = $best->filter('.becomes-row .who a')->each(static fn (Crawler $one): string => $one->text());
        self::assertCount(3, array_unique($patterns), 'three patterns');
        self::assertStringContainsString('Of the 2.98 m that are free of the first cut:', self::says($best, 'body'));
        self::assertSame('Plan it Towpath coat', trim($best->filter('.becomes-row .act')->first()->text()));
        $this->browser->click($best->filter('.becomes-row .act')->first()->link());
        self::assertResponseIsSuccessful();
        $cut = $this->browser->getCrawler()->filter('[name="claims[0][cut]"]');
        self::assertStringContainsString('Moss linen', (string) $cut->attr('value'));
    }

    public function testWhatIsReservedIsNotCalledFree(): void
    {
        $this->signInToDemo();
        $page = self::says($this->get('/match/becomes?cut='.$this->cloth('Heron lawn')->cuts[0]->id), 'body');
        self::assertStringContainsString('Reserved for Heron skirt, Allotment shorts, with 0 cm left over.', $page);
        self::assertStringNotContainsString('that are free', $page);
    }

    public function testAnotherAccountsCutBecomesNothing(): void
    {
        $cut = $this->cloth('Moss linen')->cuts[0]->id;
        $this->browser->loginUser($this->account());
        foreach (['?cut='.$cut, '', '?cut=nonsense'] as $query) {
            $this->browser->request('GET', '/match/becomes'.$query);
            self::assertContains($this->browser->getResponse()->getStatusCode(), [200, 404], $query);
            self::assertStringNotContainsString('Moss linen', (string) $this->browser->getResponse()->getContent());
        }
    }

    public function testWashedIsOnePressAndTakenBack(): void
    {
        $this->signInToDemo();
        $before = $this->cloth('Moss linen');
        $page = $this->get('/cloth/'.$before->id);
        self::assertStringContainsString('Moss linen is not washed yet: counted 5 % shorter.', self::says($page, '.snags'));
        $this->browser->submit($page->filter('.cut-panel')->first()->selectButton('Washed')->form());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('washed but not measured again', self::says($page, '.snags'));
        self::assertStringContainsString('washed, not measured again', self::says($page, '.cut-panel'));
        $this->send('undo', []);
        self::assertEquals($before, $this->cloth('Moss linen'));
    }

    public function testClothsThatASeasonWaitsForAreMarkedAsWashedInOnePressAndTakenBack(): void
    {
        $account = $this->signInToDemo();
        $before = $this->workroom($account);
        $page = $this->get('/snags');
        self::assertStringContainsString('cloths are not washed yet and counted shorter:', self::says($page, '.snags'));
        $count = $page->filter('.snag')->count();
        $form = $page->selectButton('Mark all as washed')->form();
        $this->browser->submit($form);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('marked as washed: measure each when it is dry.', self::says($page, '.toast'));
        self::assertStringNotContainsString('not washed yet', self::says($page, '.snags'));
        self::assertGreaterThanOrEqual($count - 1, $page->filter('.snag')->count(), 'each is to be measured');
        $undo = (string) $page->filter('.toast form')->attr('action');
        $this->get('/snags');
        $this->post('/cuts/washed', ['cuts' => $form->getValues()['cuts']]);
        self::assertStringContainsString('They are washed already', self::says($this->browser->followRedirect(), '.toast'));
        $this->post($undo);
        self::assertEquals($before, $this->workroom($account));
    }

    public function testAnotherAccountsCutsAreNotWashed(): void
    {
        $cut = $this->cloth('Moss linen')->cuts[0]->id;
        $this->browser->loginUser($this->account());
        $this->get('/cloth');
        $this->post('/cuts/washed', ['cuts' => $cut.' nonsense <script>']);
        self::assertFalse($this->cloth('Moss linen')->cuts[0]->washed);
    }

    public function testGivenAwayWithoutALengthIsAllOfIt(): void
    {
        $this->signInToDemo();
        $page = $this->get('/cloth/'.$this->cloth('Moss linen')->id);
        $form = $page->filter('.cut-panel')->first()->filter('[value="given away"]')->closest('form') ?? self::fail('There is a form.');
        $this->browser->submit($form->form());
        self::assertTrue($this->cloth('Moss linen')->cuts[0]->gone);
        self::assertFalse($this->cloth('Moss linen')->cuts[1]->gone);
    }

    private function cloth(string $name): Cloth
    {
        foreach ($this->workroom($this->demo())->cloths as $cloth) {
            if ($cloth->name === $name) {
                return $cloth;
            }
        }
        self::fail('There is no '.$name);
    }
}
