<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Project;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Room\Project\ProjectPart;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** A project's page: one verdict, its path, four parts, and one filled button that follows from where it stands. */
final class ProjectPagesTest extends PageTestCase
{
    public function testEachPartOfEachProjectHasOneVerdictAndOneFilledButtonAtMost(): void
    {
        $all = $this->workroom($this->signInToDemo())->projects;
        // one in each state, and those whose cloth is short, not known, to be bought and for single pieces
        $some = [
            'Towpath coat', 'Lock-keeper trousers', 'Galley apron', 'Winding-hole jacket',
            'Rope-walk tee', 'Lockside cushion', 'Choir dress',
        ];
        foreach (array_filter($all, static fn (Project $project): bool => \in_array($project->name, $some, true)) as $project) {
            foreach (ProjectPart::cases() as $part) {
                $page = $this->get('/project/'.$project->id.'/'.$part->value);
                $said = $project->name.', '.$part->value;
                self::assertCount(1, $page->filter('.big'), $said);
                self::assertLessThanOrEqual(1, $page->filter('.project-verdict .act:not(.is-quiet)')->count(), $said);
                self::assertSame($part->value, basename((string) $page->filter('.parts [aria-current]')->attr('href')));
                self::assertCount(1, $page->filter('.path li:first-child'), $said);
                self::assertLessThanOrEqual(1, $page->filter('.path [aria-current]')->count(), $said);
            }
        }
    }

    public function testWithoutAPartTheOneIsOpenedInWhichItIsToBeBroughtOn(): void
    {
        $this->signInToDemo();
        foreach (['Towpath coat' => 'cloth', 'Smokehouse overshirt' => 'sewing', 'Fenlight pyjamas' => 'sewing'] as $name => $part) {
            $page = $this->get('/project/'.$this->project($name)->id);
            self::assertStringEndsWith('/'.$part, (string) $page->filter('.parts [aria-current]')->attr('href'), $name);
        }
        $this->browser->request('GET', '/project/'.$this->project('Towpath coat')->id.'/nonsense');
        self::assertResponseStatusCodeSame(404);
    }

    public function testOnceAllIsCutNothingLeadsToTheTableAndNoClothIsReserved(): void
    {
        $this->signInToDemo();
        $id = $this->project('Smokehouse overshirt')->id;
        foreach (ProjectPart::cases() as $part) {
            $page = $this->get('/project/'.$id.'/'.$part->value);
            self::assertCount(0, $page->filter('#main a[href*="/table"], [data-url*="/block"]'), $part->value);
            self::assertStringNotContainsString('reserved for it;', self::says($page));
        }
        self::assertCount(1, $this->get('/project/'.$this->project('Towpath coat')->id)->filter('#main .head a[href*="/table"]'));
    }

    public function testTheNextStepIsMarkedAsDoneFromTheHeadAndTakenBack(): void
    {
        $this->signInToDemo();
        $before = $this->project('Smokehouse overshirt');
        $page = $this->get('/project/'.$before->id);
        self::assertSame('Mark as done: Cuffs', self::filled($page));
        self::assertSame('Cuffs', self::says($page, '.path [aria-current] > span'));
        $this->send('Mark as done: Cuffs', []);
        $page = $this->browser->followRedirect();
        self::assertSame('Mark as done: Hem', self::filled($page));
        $this->send('undo', []);
        self::assertEquals($before, $this->project('Smokehouse overshirt'));
    }

    public function testAnIdeaIsPlannedFromItsHead(): void
    {
        $this->signInToDemo();
        $id = $this->project('Moth slip')->id;
        $this->get('/project/'.$id.'/sewing');
        $this->post('/project/'.$id.'/state', ['state' => 'idea']);
        self::assertSame('Plan it', self::filled($this->get('/project/'.$id)));
        $this->send('Plan it', []);
        self::assertSame(ProjectState::Planned, $this->project('Moth slip')->log->state);
    }

    public function testTheHeadSaysWhichClothIsShortByHowMuch(): void
    {
        $this->signInToDemo();
        $page = $this->get('/project/'.$this->project('Lantern dress')->id);
        self::assertSame('8 cm short', self::says($page, '.big'));
        self::assertSame('Make it enough', self::filled($page));
        self::assertStringContainsString('Paper-lantern cotton', (string) $page->filter('.project-verdict svg')->attr('aria-label'));
        $page = $this->get('/project/'.$this->project('Lock-keeper trousers')->id);
        self::assertSame('Not known yet', self::says($page, '.big'));
        self::assertSame('Measure the width', self::filled($page));
    }

    private static function filled(Crawler $page): string
    {
        return self::says($page, '.project-verdict .act');
    }
}
