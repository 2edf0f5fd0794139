<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Season;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** Projects that go elsewhere, seasons that say what a move costs, and all snags on one page. */
final class MovePagesTest extends PageTestCase
{
    public function testTheDemosLineFallsAfterTheSixthAndAMoveSaysWhatItDoes(): void
    {
        $this->signInToDemo();
        $page = $this->get('/season/'.$this->season('Thaw')->id);
        self::assertCount(11, $page->filter('.ranked .project'));
        self::assertSame('The hours run out here: 54 h', trim($page->filter('.ranked li')->eq(6)->text()));
        self::assertCount(0, $page->filter('.changed'), 'the first look says nothing');
        self::assertStringContainsString('Choir dress would be done 15 days after its deadline', self::says($page));
        $page = $this->rankFirst($page, 'Choir dress');
        self::assertStringContainsString('Choir dress is in time now.', self::says($page, '.changed'));
        $page = $this->rankFirst($page, 'Heron skirt');
        self::assertStringContainsString('Lock-keeper trousers falls below the chalk line.', self::says($page, '.changed'));
        self::assertStringContainsString('Heron skirt comes above the chalk line.', self::says($page, '.changed'));
        self::assertCount(0, $this->get('/season')->filter('.changed'), 'it is said once');
    }

    public function testAProjectGoesToAnotherSeasonAndBackByUndo(): void
    {
        $page = $this->at('Heron skirt');
        $this->browser->submit($page->selectButton('Move it')->form(), ['season' => $this->season('Haar')->id]);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Heron skirt is in Haar now.', self::says($page, '.toast'));
        self::assertSame(['Haar', 6], [$this->project('Heron skirt')->season->name, $this->project('Heron skirt')->rank]);
        self::assertSame(7, $this->project('Allotment shorts')->rank);
        self::assertStringContainsString('Allotment shorts', self::says($page, '.ranked'));
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertSame(['Thaw', 7], [$this->project('Heron skirt')->season->name, $this->project('Heron skirt')->rank]);
        self::assertSame(8, $this->project('Allotment shorts')->rank);
    }

    public function testItIsSetAsideWithItsClothUntilTheSameTimeNextYear(): void
    {
        $page = $this->at('Choir dress');
        $this->browser->submit($page->selectButton('Move it')->form(), ['season' => 'next year']);
        $page = $this->browser->followRedirect();
        $dress = $this->project('Choir dress');
        self::assertSame(['Thaw 2028', '2028-02-28'], [$dress->season->name, $dress->season->starts->format('Y-m-d')]);
        self::assertTrue($dress->current->claims[0]->cloth?->keeping->setAside);
        $this->get('/project/'.$this->project('Bow-locker shirt')->id.'/notes');
        $this->browser->submit($this->browser->getCrawler()->selectButton('Move it')->form(), ['season' => 'next year']);
        self::assertSame($dress->season->id, $this->project('Bow-locker shirt')->season->id, 'one season a year on is enough');
        $shirt = $this->browser->followRedirect()->filter('.toast')->selectButton('undo')->form();
        $undo = (string) $page->filter('.toast form')->attr('action');
        $this->post($undo);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Thaw 2028 is used by Bow-locker shirt now', self::says($page, '.toasts'));
        self::assertSame('Thaw 2028', $this->project('Choir dress')->season->name);
        $this->browser->submit($shirt);
        $this->get('/season');
        $this->post($undo);
        self::assertSame('Thaw', $this->project('Choir dress')->season->name);
        self::assertFalse($this->project('Choir dress')->current->claims[0]->cloth?->keeping->setAside);
    }

    public function testADressBecomesTwoSeparatesOfTheSameClothAndOneAgain(): void
    {
        $page = $this->at('Choir dress');
        $this->browser->submit($page->selectButton('Make two of it')->form(), ['first' => 'Choir blouse 🎵']);
        $page = $this->browser->followRedirect();
        $names = $page->filter('.ranked .project')->each(static fn (Crawler $one): string => (string) $one->attr('data-name'));
        self::assertSame(['Choir blouse 🎵', 'Choir dress, skirt'], \array_slice($names, 3, 2));
        self::assertSame(ProjectState::GivenUp, $this->project('Choir dress')->log->state);
        $blouse = $this->project('Choir blouse 🎵');
        self::assertSame(['Midnight sateen', '2027-04-10', 'Ottoline'], [
            $blouse->current->claims[0]->cloth->name ?? '',
            $blouse->brief->dates->deadline?->format('Y-m-d'),
            $blouse->brief->person->name ?? '',
        ]);
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertSame([ProjectState::Planned, 4], [$this->project('Choir dress')->log->state, $this->project('Choir dress')->rank]);
        self::assertCount(11, $this->get('/season/'.$this->season('Thaw')->id)->filter('.ranked .project'));
    }

    public function testSomebodyElsesSeasonAndNonsenseAreNotThere(): void
    {
        $this->at('Choir dress');
        foreach (['01HZZZZZZZZZZZZZZZZZZZZZZZ', 'next decade', ''] as $season) {
            $this->post('/project/'.$this->project('Choir dress')->id.'/season', ['season' => $season]);
            self::assertSame(404, $this->browser->getResponse()->getStatusCode(), $season);
        }
        self::assertSame('Thaw', $this->project('Choir dress')->season->name);
    }

    public function testWhatIsUnfinishedFromBeforeIsCarriedOverFirst(): void
    {
        $this->signInToDemo();
        $this->get('/season/'.$this->season('Rime')->id.'/edit');
        $this->send('Save the season', ['starts' => '2026-01-05', 'weeks' => '10']);
        $page = $this->get('/season/'.$this->season('Thaw')->id);
        self::assertStringContainsString('Rope-walk tee', self::says($page, '.aside-rows'));
        $this->browser->submit($page->filter('.aside-rows form')->first()->selectButton('Carry it over, first Rope-walk tee')->form());
        self::assertSame(['Thaw', 1], [$this->project('Rope-walk tee')->season->name, $this->project('Rope-walk tee')->rank]);
        self::assertSame(2, $this->project('Smokehouse overshirt')->rank);
    }

    public function testASeasonIsPlannedByACountWithoutHours(): void
    {
        $this->signInToDemo();
        $id = $this->season('Thaw')->id;
        $this->get('/season/'.$id.'/edit');
        $this->send('Save the season', ['hours' => '', 'most' => '']);
        self::assertStringContainsString('This is missing', self::says($this->browser->getCrawler()));
        $this->get('/season/'.$id.'/edit');
        $this->send('Save the season', ['hours' => '', 'most' => '3']);
        $page = $this->get('/season/'.$id);
        self::assertSame('So many at most: 3', trim($page->filter('.ranked li')->eq(3)->text()));
        self::assertStringContainsString('3 garments at most, 11 planned', self::says($page, '.head'));
        self::assertStringContainsString('Thaw holds 3 garments at most, and 11 are planned.', self::says($page));
        self::assertSame('', $this->get('/season/'.$id.'/edit')->filter('[name=hours]')->attr('value'));
    }

    public function testASeasonStandsOnOnePage(): void
    {
        $this->signInToDemo();
        $page = $this->get('/season/'.$this->season('Thaw')->id.'/print');
        self::assertCount(12, $page->filter('tbody tr'), 'eleven projects and the line');
        self::assertStringContainsString('Towpath coat C, size 14 Ottoline Reed canvas 2.60 m, Grandmother’s lining', self::says($page));
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', '/season/'.$this->season('Thaw')->id.'/print');
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testAllSnagsStandOnOnePageAndAreNarrowed(): void
    {
        $this->signInToDemo();
        $all = $this->snags('');
        self::assertGreaterThan(15, $all);
        $ofEach = array_map(fn (string $of): int => $this->snags('of='.$of), ['cloth', 'pattern', 'notions', 'time', 'project']);
        self::assertSame($all, array_sum($ofEach));
        self::assertGreaterThan(0, min($ofEach));
        self::assertLessThan($all, $this->snags('grave=1'));
        $dress = $this->project('Choir dress')->id;
        self::assertSame(3, $this->snags('project='.$dress));
        self::assertSame(1, $this->snags('of=time&project='.$dress));
        self::assertSame(0, $this->snags('of=pattern&project='.$dress));
        self::assertSame($all, $this->snags('of=nonsense&project=another'));
    }

    private function snags(string $query): int
    {
        return $this->get('/snags?'.$query)->filter('.snags-page .snag')->count();
    }

    private function at(string $project): Crawler
    {
        $this->signInToDemo();

        return $this->get('/project/'.$this->project($project)->id.'/notes');
    }

    private function rankFirst(Crawler $page, string $name): Crawler
    {
        $was = $page->filter('.ranked .project')->each(static fn (Crawler $one): string => (string) $one->attr('data-id'));
        $first = (string) $page->filter('.project[data-name="'.$name.'"]')->attr('data-id');
        $order = [$first, ...array_diff($was, [$first])];
        $url = (string) $page->filter('[data-rank-url]')->attr('data-rank-url');
        $this->post($url, ['was' => implode(',', $was), 'order' => implode(',', $order)]);

        return $this->browser->followRedirect();
    }

    private function season(string $name): Season
    {
        foreach ($this->workroom($this->demo())->seasons as $season) {
            if ($season->name === $name) {
                return $season;
            }
        }
        self::fail('There is no season '.$name);
    }
}
