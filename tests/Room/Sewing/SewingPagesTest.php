<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Sewing;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Project;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Tests\PageTestCase;
use Octavum\Tests\QueryCounter;
use Symfony\Component\DomCrawler\Crawler;

/** The sewing, on the galley apron of the demo: cut, its pockets next. */
final class SewingPagesTest extends PageTestCase
{
    public function testItSaysWhatFitsTheTimeThereIs(): void
    {
        $page = $this->sewing(15);
        self::assertStringContainsString('I have a quarter of an hour', self::says($page, 'h1'));
        self::assertSame('Patch pockets', $page->filter('.nows')->first()->filter('b')->first()->text());
        self::assertStringContainsString('Hem', self::says($page, '.sewing .slab details'));
        self::assertCount(6, $page->filter('.begun .needle'), 'three begun and three that are next');
        self::assertStringContainsString('universal or microtex, 70', self::says($page, '.needle-for'));
        $none = $this->sewing(5);
        self::assertStringContainsString('Nothing is done in that time', self::says($none));
        self::assertStringContainsString('I have half an hour', self::says($this->get('/sewing?have=nonsense'), 'h1'));
    }

    public function testATimerIsStartedPausedAndItsMinutesKept(): void
    {
        $this->sewing();
        $this->press('steps/patches/start');
        self::assertSame('patches', $this->apron()->log->sewing->timer?->step);
        self::assertSame(ProjectState::Sewing, $this->apron()->log->state);
        $this->hasRun(20);
        $page = $this->get('/sewing');
        self::assertStringContainsString('Galley apron, Patch pockets', self::says($page, '#running'));
        self::assertCount(1, $page->filter('.now.is-running'));
        $this->press('pause');
        self::assertSame([35, 20], array_column($this->apron()->log->sewing->stretches, 'minutes'));
        self::assertNull($this->apron()->log->sewing->timer);
        $this->press('pause');
        self::assertStringContainsString('Nothing is running', self::says($this->browser->followRedirect(), '.toast'));
    }

    public function testAnotherStepPausesTheOneThatRuns(): void
    {
        $this->sewing();
        $this->press('steps/patches/start');
        $this->hasRun(12);
        $tee = $this->project('Rope-walk tee');
        $this->get('/sewing');
        $this->post('/project/'.$tee->id.'/steps/hem/start');
        self::assertNull($this->apron()->log->sewing->timer);
        self::assertSame([35, 12], array_column($this->apron()->log->sewing->stretches, 'minutes'));
        self::assertSame('hem', $this->project('Rope-walk tee')->log->sewing->timer?->step);
    }

    public function testATimerThatWasForgottenIsAskedFor(): void
    {
        $this->sewing();
        $this->press('steps/patches/start');
        $this->hasRun(14 * 60);
        $this->press('steps/patches/done');
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('How long was it really?', self::says($page, '#running'));
        self::assertNotNull($this->apron()->log->sewing->timer, 'nothing is kept or lost before it is said');
        self::assertNull($this->step('patches')->done);
        $this->press('pause', ['minutes' => 'ages']);
        self::assertNotNull($this->apron()->log->sewing->timer);
        $this->press('pause', ['minutes' => '25 min']);
        self::assertSame([35, 25], array_column($this->apron()->log->sewing->stretches, 'minutes'));
    }

    public function testAStepIsDoneAndUndoneAndTheLastOneAsksHowItTurnedOut(): void
    {
        $this->sewing();
        $this->press('steps/patches/done');
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Galley apron: that step is done.', self::says($page, '.toast'));
        self::assertNotNull($this->step('patches')->done);
        $this->get('/sewing');
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertNull($this->step('patches')->done);
        self::assertSame(ProjectState::Cut, $this->apron()->log->state);
        foreach (['patches', 'straps'] as $step) {
            $this->press('steps/'.$step.'/done');
        }
        self::assertSame(ProjectState::Finishing, $this->apron()->log->state);
        $this->press('steps/edges/done');
        self::assertStringEndsWith('/finding', (string) $this->browser->getResponse()->headers->get('Location'));
        self::assertNotSame(ProjectState::Done, $this->apron()->log->state, 'done it is when somebody says so');
        self::assertStringContainsString('Galley apron: how did it turn out?', self::says($this->get('/sewing')));
    }

    public function testTheVerdictEndsItAndWhatToChangeGoesBackToThePattern(): void
    {
        $this->signInToDemo();
        $this->get('/project/'.$this->apron()->id.'/finding');
        $this->send('It is done', [
            'fitted' => 'nearly',
            'cloth' => 'the right cloth',
            'again' => 'with changes',
            'change' => 'Longer straps <b>',
            'day' => '2026-11-25',
        ]);
        $page = $this->browser->followRedirect();
        $apron = $this->apron();
        self::assertSame(ProjectState::Done, $apron->log->state);
        self::assertSame('2026-11-25', $apron->log->sewing->since(ProjectState::Done)?->format('Y-m-d'));
        self::assertStringContainsString('nearly, the right cloth, make again: with changes', self::says($page, '#finding'));
        $kept = $apron->current->pattern?->alterationsFor($apron->brief->person->id ?? '') ?? [];
        self::assertSame(['Longer straps <b>'], array_column($kept, 'name'));
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertSame(ProjectState::Cut, $this->apron()->log->state);
        self::assertNull($this->apron()->log->sewing->finding);
        self::assertCount(0, $this->apron()->current->pattern->alterations ?? ['one']);
        $this->get('/project/'.$this->apron()->id.'/finding');
        $this->send('It is done', ['day' => '2999-01-01', 'note' => 'kept']);
        self::assertSame(422, $this->browser->getResponse()->getStatusCode());
        self::assertStringContainsString('That day is still to come', self::says($this->browser->getCrawler()));
        self::assertSame('kept', $this->browser->getCrawler()->filter('[name=note]')->text());
    }

    public function testWhatIsDoneIsLookedAtAgainWhenItHasBeenWorn(): void
    {
        $this->signInToDemo();
        $record = $this->record('Fenlight pyjamas');
        $sewing = $record->sewing;
        $sewing['states'] = [['state' => 'done', 'on' => '2026-01-10']];
        $record->sewing = $sewing;
        $this->service(EntityManagerInterface::class)->flush();
        $page = $this->get('/sewing');
        self::assertStringContainsString('Fenlight pyjamas: is it worn?', self::says($page));
        $this->post('/project/'.$record->id.'/worn', ['wear' => 'never', 'fate' => 'taken apart', 'note' => 'useless sitting']);
        $worn = $this->project('Fenlight pyjamas')->log->sewing->worn;
        self::assertSame(['never', 'taken apart', 'useless sitting'], [$worn[0]->wear->value, $worn[0]->fate->value, $worn[0]->note]);
        self::assertStringContainsString('enter those of Pond interlock', self::says($this->get('/project/'.$record->id), '#finding'));
        self::assertStringNotContainsString('is it worn?', self::says($this->get('/sewing')));
        $this->post('/project/'.$record->id.'/worn', ['wear' => 'daily']);
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testTimeIsWrittenDownByHandAndTakenOutAgain(): void
    {
        $this->signInToDemo();
        $this->get('/project/'.$this->apron()->id);
        $this->press('time', ['minutes' => '1 h 15', 'day' => '2026-11-22', 'step' => 'straps']);
        $last = $this->apron()->log->sewing->stretches[1];
        self::assertSame([75, 'straps', '2026-11-22'], [$last->minutes, $last->step, $last->on->format('Y-m-d')]);
        foreach (['ages', '30 h', '-5', '🧵'] as $nonsense) {
            $this->press('time', ['minutes' => $nonsense]);
            self::assertCount(2, $this->apron()->log->sewing->stretches);
        }
        $this->press('time', ['minutes' => '5 min', 'day' => '2999-01-01']);
        self::assertCount(2, $this->apron()->log->sewing->stretches);
        $this->press('time/1/remove', ['minutes' => '74']);
        self::assertCount(2, $this->apron()->log->sewing->stretches, 'not that which another had put in its place');
        $this->press('time/1/remove', ['minutes' => '75']);
        self::assertSame([35], array_column($this->apron()->log->sewing->stretches, 'minutes'));
    }

    public function testStepsAreChangedPutInOrderAndGoBackToTheTemplate(): void
    {
        $this->signInToDemo();
        $url = '/project/'.$this->apron()->id.'/steps';
        $page = $this->get($url);
        $rows = [];
        foreach ($page->filter('.step-line') as $i => $line) {
            $rows[$i] = [];
        }
        self::assertCount(7, $rows, 'four, and three empty lines');
        $this->send('Save the steps', ['rows' => [
            1 => ['name' => ''],
            2 => ['place' => '5', 'minutes' => '50'],
            4 => ['name' => 'Overlock 🧵', 'kind' => 'overlock', 'minutes' => '10', 'place' => '25', 'needs' => 'thread'],
        ]]);
        self::assertSame(
            [['Straps', 50], ['Cut out', 30], ['Overlock 🧵', 10], ['Edges', 30]],
            array_map(static fn (Step $step): array => [$step->name, $step->minutes], $this->apron()->log->sewing->steps),
        );
        self::assertStringContainsString('Overlock 🧵', self::says($this->get('/project/'.$this->apron()->id), '#steps'));
        $this->get($url);
        $this->send('Save the steps', ['rows' => [0 => ['minutes' => 'a while']]]);
        self::assertSame(422, $this->browser->getResponse()->getStatusCode());
        self::assertSame('a while', $this->browser->getCrawler()->filter('[name="rows[0][minutes]"]')->attr('value'));
        $page = $this->get($url);
        $this->browser->request('POST', $url, ['template' => '1'] + $page->selectButton('Save the steps')->form()->getPhpValues());
        self::assertSame([], $this->apron()->log->sewing->steps);
        self::assertStringContainsString('Patch pockets', self::says($this->get('/project/'.$this->apron()->id), '#steps'));
    }

    public function testAStateIsDatedHasAWordAndIsTakenBack(): void
    {
        $this->signInToDemo();
        $this->get('/project/'.$this->apron()->id);
        $this->press('state', ['state' => 'resting', 'why' => 'no more thread']);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Galley apron is resting.', self::says($page, '.toast'));
        self::assertStringContainsString('resting, “no more thread”', str_replace(['<q>', '</q>'], ['“', '”'], strip_tags(
            $page->filter('#states')->html(),
            '<q>',
        )));
        self::assertStringContainsString('Galley apron', self::says($this->get('/season/'.$this->apron()->season->id), '.aside-rows'));
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertSame(ProjectState::Cut, $this->apron()->log->state);
        self::assertCount(1, $this->apron()->log->sewing->states);
        $this->press('state', ['state' => 'asleep']);
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testAnothersProjectIsNotThere(): void
    {
        $id = $this->apron()->id;
        $this->browser->loginUser($this->account('else@example.org'));
        $this->get('/sewing');
        $all = ['steps/patches/start', 'steps/patches/done', 'pause', 'time', 'state', 'worn', 'finding', 'steps', 'season', 'split'];
        foreach ($all as $what) {
            $this->post('/project/'.$id.'/'.$what, ['minutes' => '5', 'state' => 'done', 'wear' => 'often']);
            self::assertSame(404, $this->browser->getResponse()->getStatusCode(), $what);
        }
        $this->signInToDemo();
        $this->get('/sewing');
        $this->press('steps/no-such-step/start');
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testAnEmptyWorkroomIsToldWhatSewingIsFor(): void
    {
        $this->browser->loginUser($this->account());
        self::assertStringContainsString('Nothing is begun', self::says($this->get('/sewing'), '.empty'));
        self::assertStringContainsString('Nothing was kept of this year yet', self::says($this->get('/sewing/year'), '.empty'));
    }

    public function testTheYearInReviewCountsWhatWasKept(): void
    {
        $this->signInToDemo();
        $page = $this->get('/sewing/year/2026');
        self::assertStringContainsString('sewn 1', self::says($page, '.in-numbers'));
        // 1.90 m of an interlock at 12.90
        self::assertStringContainsString('€24.51', self::says($page));
        self::assertStringContainsString('The separating zip cost more than the cloth', self::says($page));
        self::assertCount(2, $page->filter('svg.chart'));
        self::assertCount(12, $page->filter('.chart')->first()->closest('section')?->filter('tbody tr') ?? []);
        self::assertStringContainsString('Nothing was kept', self::says($this->get('/sewing/year/1999')));
    }

    public function testThePagesMakeABoundedNumberOfQueries(): void
    {
        $this->signInToDemo();
        $pages = ['/sewing' => 40, '/sewing/year' => 40, '/snags' => 40, '/project/'.$this->apron()->id => 60];
        foreach ($pages as $path => $most) {
            self::assertLessThanOrEqual($most, QueryCounter::during(fn () => $this->get($path)), $path);
        }
    }

    public function testItAllGoesIntoTheDocumentAndComesBack(): void
    {
        $this->sewing();
        $this->press('steps/patches/start');
        $document = $this->command('octavum:export', [])->getDisplay();
        $read = $this->service(WorkroomReader::class)->read($document)->projects;
        foreach (['Galley apron', 'Fenlight pyjamas', 'Winding-hole jacket', 'Smokehouse overshirt'] as $name) {
            $again = array_values(array_filter($read, static fn (Project $one): bool => $one->name === $name))[0];
            self::assertEquals($this->project($name)->log->sewing, $again->log->sewing, $name);
        }
        $former = str_replace('"state": "done"', '"state": "finished"', $document);
        self::assertNotSame($former, $document);
        $done = array_filter(
            $this->service(WorkroomReader::class)->read($former)->projects,
            static fn (Project $one): bool => ProjectState::Done === $one->log->state,
        );
        self::assertCount(1, $done, 'as documents said it before');
        $this->expectException(Refused::class);
        $this->service(WorkroomReader::class)->read(str_replace('"kind": "cut out"', '"kind": "hack"', $document));
    }

    private function sewing(int $have = 30): Crawler
    {
        $this->signInToDemo();

        return $this->get('/sewing?have='.$have);
    }

    /** @param array<string, string> $fields */
    private function press(string $what, array $fields = []): void
    {
        $this->get('/sewing');
        $this->post('/project/'.$this->apron()->id.'/'.$what, $fields);
    }

    private function hasRun(int $minutes): void
    {
        $record = $this->record('Galley apron');
        $sewing = $record->sewing;
        $sewing['timer'] = ['step' => 'patches', 'since' => (new \DateTimeImmutable('-'.$minutes.' minutes'))->format(\DATE_ATOM)];
        $record->sewing = $sewing;
        $this->service(EntityManagerInterface::class)->flush();
    }

    private function record(string $name): ProjectRecord
    {
        return $this->service(EntityManagerInterface::class)->find(ProjectRecord::class, $this->project($name)->id) ?? self::fail($name);
    }

    private function apron(): Project
    {
        return $this->project('Galley apron');
    }

    private function step(string $id): Step
    {
        foreach ($this->apron()->log->sewing->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }
        self::fail('There is no step '.$id);
    }
}
