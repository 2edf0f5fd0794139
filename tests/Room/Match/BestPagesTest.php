<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Match;

use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

final class BestPagesTest extends PageTestCase
{
    public function testTheBestUseOfTheDemoSavesAPurchaseAndIsTakenAndTakenBack(): void
    {
        $this->signInToDemo();
        $page = $this->get('/match/best?season='.$this->project('Dinghy bag')->season->id);
        self::assertStringContainsString('3 have enough as you planned it.', self::says($page));
        self::assertStringContainsString('5 would, and one cloth fewer would be bought', self::says($page));
        self::assertStringContainsString('This is the best combination', self::says($page));
        $bag = $page->filter('.best-change:contains("Dinghy bag")');
        self::assertStringContainsString('instead of buying Bag canvas', $bag->text());
        self::assertStringContainsString('The envelope names', $bag->text());
        $names = $page->filter('.best-change b')->each(static fn (Crawler $name): string => $name->text());
        self::assertNotContains('Fern tee', $names, 'what fits as it is stays');
        $this->take($page, ['Dinghy bag', 'Gathered tweed skirt']);
        self::assertNotNull($this->project('Dinghy bag')->current->claims[0]->cut);
        self::assertNull($this->project('Dinghy bag')->current->claims[0]->wish);
        self::assertSame('Marsh chambray', $this->project('Gathered tweed skirt')->current->claims[0]->cloth?->name);
        self::assertSame('Kite panel', $this->project('Regatta dress')->current->claims[0]->cloth?->name, 'not ticked');
        $this->send('undo', []);
        self::assertSame('Bag canvas', $this->project('Dinghy bag')->current->claims[0]->wish?->name);
        self::assertSame('Quarry tweed', $this->project('Gathered tweed skirt')->current->claims[0]->cloth?->name);
    }

    public function testAnOptionIsTakenWithItsVersion(): void
    {
        $this->signInToDemo();
        $before = $this->project('Towpath coat');
        $this->take($this->get('/match/best'), ['Towpath coat']);
        $after = $this->project('Towpath coat');
        self::assertSame('C', $before->current->version?->name);
        self::assertSame('A, short', $after->current->version?->name);
        self::assertSame('Reed canvas', $after->current->claims[0]->cloth?->name);
        $this->send('undo', []);
        self::assertSame('C', $this->project('Towpath coat')->current->version?->name);
    }

    public function testWhatIsNotProposedIsNotTaken(): void
    {
        $this->signInToDemo();
        $season = $this->project('Heron skirt')->season->id;
        $this->get('/match/best');
        $this->post('/match/best/'.$season, ['take' => [$this->project('Heron skirt')->id.' - no-such', '']]);
        self::assertStringContainsString('Nothing of it is taken', self::says($this->browser->followRedirect()));
        $this->post('/match/best/'.$season);
        self::assertStringContainsString('Nothing of it is taken', self::says($this->browser->followRedirect()));
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('POST', '/match/best/'.$season);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
    }

    /** @param list<string> $projects */
    private function take(Crawler $page, array $projects): void
    {
        $keys = [];
        foreach ($projects as $project) {
            $keys[] = (string) $page->filter('.best-change:contains("'.$project.'") input')->attr('value');
        }
        $this->post('/match/best/'.$this->project($projects[0])->season->id, ['take' => $keys]);
        $this->browser->followRedirect();
    }
}
