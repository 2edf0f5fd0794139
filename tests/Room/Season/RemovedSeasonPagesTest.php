<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Core\Project\Project;
use Octavum\Tests\PageTestCase;

/** A season is taken out; its projects are kept. */
final class RemovedSeasonPagesTest extends PageTestCase
{
    public function testARemovedSeasonLeavesItsProjectsInNoSeasonAndComesBackWhole(): void
    {
        $this->signInToDemo();
        $season = $this->project('Choir dress')->season;
        $before = $this->inSeason($season->id);
        self::assertNotSame([], $before);
        $this->get('/season/'.$season->id.'/edit');
        $this->send('Remove this season', []);
        self::assertResponseRedirects('/season');
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Thaw is removed. Its 11 projects are in no season now.', self::says($page, '.toast'));
        self::assertStringNotContainsString('Thaw', $page->filter('#season-switch')->text());
        self::assertSame([], $this->inSeason($season->id));
        self::assertCount(\count($before), array_filter(
            $this->workroom($this->demo())->projects,
            static fn (Project $project): bool => \in_array($project->name, $before, true) && $project->season->undated,
        ));
        $this->browser->request('GET', '/season/'.$season->id.'/edit');
        self::assertResponseStatusCodeSame(404);

        $this->browser->submit($page->selectButton('undo')->form());
        self::assertSame($before, $this->inSeason($season->id), 'in their order');
        $this->get('/season/'.$season->id.'/edit');
    }

    public function testAProjectTakenOffThePlanIsInNoSeasonWhenItComesBack(): void
    {
        $this->signInToDemo();
        $project = $this->project('Choir dress');
        $this->get('/project/'.$project->id.'/change');
        $this->send('Take it off the plan', []);
        $undo = $this->browser->followRedirect()->selectButton('undo')->form();
        $this->get('/season/'.$project->season->id.'/edit');
        $this->send('Remove this season', []);
        $this->browser->submit($undo);
        self::assertTrue($this->project('Choir dress')->season->undated, 'it is not lost with its season');
    }

    public function testWhatIsPlannedInAnOldTabIsInNoSeason(): void
    {
        $this->signInToDemo();
        $season = $this->project('Choir dress')->season->id;
        $form = $this->get('/project/new?season='.$season)->selectButton('Save the project')->form();
        $this->get('/season/'.$season.'/edit');
        $this->send('Remove this season', []);
        $this->browser->request('POST', $form->getUri(), ['name' => 'Late cape', 'season' => $season] + $form->getPhpValues());
        self::assertResponseRedirects();
        self::assertNotSame($season, $this->project('Late cape')->season->id);
    }

    public function testWhatIsInNoSeasonAndAnotherAccountsAreNotRemoved(): void
    {
        $this->signInToDemo();
        $season = $this->project('Choir dress')->season->id;
        $form = $this->get('/season/'.$season.'/edit')->selectButton('Remove this season')->form();
        $this->send('Remove this season', []);
        $none = $this->project('Choir dress')->season->id;
        $this->browser->request('POST', '/season/'.$none.'/remove', $form->getPhpValues());
        self::assertResponseStatusCodeSame(404);
        $this->browser->loginUser($this->account());
        $token = $this->get('/settings')->filter('[name=_token]')->attr('value');
        $this->browser->request('POST', '/season/'.$season.'/remove', ['_token' => $token]);
        self::assertResponseStatusCodeSame(404);
    }

    /** @return list<string> names, in the order of the list */
    private function inSeason(string $id): array
    {
        $projects = array_filter(
            $this->workroom($this->demo())->projects,
            static fn (Project $project): bool => $project->season->id === $id,
        );
        usort($projects, static fn (Project $a, Project $b): int => [$a->rank, $a->id] <=> [$b->rank, $b->id]);

        return array_column($projects, 'name');
    }
}
