<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use Octavum\Tests\QueryCounter;
use Octavum\Tools\LargeWorkroom;
use PHPUnit\Framework\Attributes\DataProvider;

final class SeasonPagesTest extends PageTestCase
{
    #[DataProvider('worked')]
    public function testTheCasesWorkedByHandAreSeenWithTheirWorking(string $project, string $row, string $working): void
    {
        $this->signInToDemo();
        $page = $this->get('/season');
        $selector = '.project[data-name="'.$project.'"]';
        self::assertStringContainsString($row, self::says($page, $selector));
        $workings = $this->fetched($page);
        self::assertStringContainsString($working, self::says($workings, '#working-'.$page->filter($selector)->attr('data-id')));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function worked(): iterable
    {
        yield 'a: read in the 115 row, short' => [
            'Towpath coat',
            'short 26 cm missing',
            'Usable 2.342 m Size 14, 115 cm row; the cloth is 137 cm printed table 2.60 m Needed 2.60 m Missing, rounded up 26 cm',
        ];
        yield 'b: on 150 cm it fits' => ['Choir dress', 'fits 24 cm to spare', 'Needed 2.10 m To spare, rounded down 24 cm'];
        yield 'b: a one-way print' => ['Lantern dress', 'short 8 cm missing', '+ 31.5 cm Needed 2.415 m Missing, rounded up 8 cm'];
        yield 'c: two cuts of one tweed' => ['Quarry pinafore', 'short 56 cm missing', 'Its cuts cannot be added up'];
        yield 'd: yards' => ['Bow-locker shirt', 'fits 62 cm to spare', 'Usable 3.14 m'];
        yield 'd: converted up' => ['Towpath coat', 'tight 0 cm to spare', 'Converted up to 91 cm conversion chart + 62 cm Needed 3.135 m'];
        yield 'e: width unknown' => ['Lock-keeper trousers', 'not known yet Measure the width', 'Measure the width.'];
        yield 'e: claimed twice' => [
            'Allotment shorts',
            'short 26 cm missing',
            'Heron skirt has it first your plan − 1.50 m Left for this 94 cm',
        ];
        yield 'f: to buy' => ['Lantern dress', 'to buy 2.10 m at 140 cm', 'Needed 2.10 m'];
    }

    public function testImperialReadersSeeTheSamePlan(): void
    {
        $this->signInToDemo();
        $verdicts = fn (): array => $this->get('/season')->filter('.enough b')->each(static fn ($node): string => $node->text());
        $metric = $verdicts();
        $this->get('/settings');
        $this->send('Save the settings', ['units' => 'imperial']);
        self::assertSame($metric, $verdicts());
        self::assertStringContainsString(
            '3⅜ yd usable',
            (string) $this->get('/season')->filter('.project[data-name="Bow-locker shirt"] svg.strip')->attr('aria-label'),
        );
    }

    public function testBothProjectsOnAnOverclaimedCutNameTheOther(): void
    {
        $this->signInToDemo();
        $page = $this->get('/season');
        $snags = self::says($page, '.margin').self::says($this->fetched($page), '#all-snags');
        self::assertStringContainsString(
            'Heron lawn is reserved more than once: Heron skirt has it first, and Allotment shorts would be 26 cm short.',
            $snags,
        );
        self::assertStringContainsString('Allotment shorts is 26 cm short: Heron skirt has Heron lawn first.', $snags);
    }

    public function testTheRankIsChangedAndUndoneAndEverythingRecomputes(): void
    {
        $account = $this->signInToDemo();
        $page = $this->get('/season');
        $before = array_map(strval(...), $page->filter('.project')->each(static fn ($row): ?string => $row->attr('data-id')));
        [$skirt, $shorts] = [$this->project('Heron skirt', $account)->id, $this->project('Allotment shorts', $account)->id];
        $after = array_replace($before, [array_search($skirt, $before, true) => $shorts, array_search($shorts, $before, true) => $skirt]);
        $this->post('/season/'.$this->project('Heron skirt', $account)->season->id.'/rank', [
            'was' => implode(',', $before),
            'order' => implode(',', $after).',nonsense,'.str_repeat('0', 26),
        ]);
        self::assertResponseRedirects();
        $page = $this->browser->followRedirect();
        self::assertSame($after, $page->filter('.project')->extract(['data-id']));
        self::assertStringContainsString(
            'short 26 cm missing',
            self::says($page, '#p'.$skirt),
            '1.50 − (2.44 − 1.20): now the skirt is later',
        );
        $this->post('/season/'.$this->project('Heron skirt', $account)->season->id.'/rank', [
            'was' => implode(',', $before),
            'order' => implode(',', $before),
        ]);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('The list was changed somewhere else', self::says($page));
        self::assertSame($after, $page->filter('.project')->extract(['data-id']), 'what was ranked in another tab stays');
        $this->post('/season/'.$this->project('Heron skirt', $account)->season->id.'/rank', [
            'was' => implode(',', $after),
            'order' => implode(',', $before),
            'undone' => '1',
        ]);
        self::assertSame(
            $before,
            $this->browser
                ->followRedirect()
                ->filter('.project')
                ->extract(['data-id']),
        );
    }

    public function testWeeksOffMoveTheChalkLineAndAllDays(): void
    {
        $this->signInToDemo();
        $id = $this->project('Choir dress')->season->id;
        self::assertStringContainsString('54 h', self::says($this->get('/season/'.$id)));
        $form = $this->get('/season/'.$id.'/edit')->selectButton('Save the season')->form();
        self::assertStringContainsString('8 Mar', self::says($this->get('/season/'.$id.'/edit'), '.weeks-off'));
        $off = ['1' => '1', '2' => '1', '99' => '1', 'x' => '1'];
        $this->browser->request('POST', '/season/'.$id.'/edit', ['off' => $off] + $form->getPhpValues());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('49.5 h', self::says($page), 'eleven weeks of 4½ hours');
        self::assertGreaterThan(0, $page->filter('.week-off')->count());
        $season = $this->project('Choir dress')->season;
        self::assertSame([1, 2], $season->off);
        self::assertSame('2027-03-15', $season->dayAfter(0)->format('Y-m-d'));
        self::assertMatchesRegularExpression('/"weeksOff":\s*\[\s*1,\s*2\s*\]/', $this->command('octavum:export', [])->getDisplay());
    }

    public function testAProjectIsPlannedFromNothing(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/season/new');
        $this->send('Save the season', ['name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => '13', 'hours' => '4.5']);
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Reed canvas', 'width' => '137', 'fibres' => 'cotton', 'cuts' => [['length' => '2.50']]]);
        $this->get('/patterns/new');
        $this->send('Save the pattern', [
            'title' => 'Towpath coat',
            'number' => 'T118',
            'garment' => 'coat',
            'hours' => '16',
            'versionName' => 'C',
            'sizes' => ['14'],
            'rows' => [
                ['role' => 'main', 'width' => '115', 'nap' => 'without', 'cells' => ['2.60']],
                ['role' => 'main', 'width' => '150', 'nap' => 'without', 'cells' => ['2.10']],
            ],
        ]);
        self::assertSame('T118 Towpath coat, C', $this->get('/choose/version?q=tow')->filter('[role=option]')->attr('data-name'));
        self::assertSame('Reed canvas, 2.34 m, 137 cm', $this->get('/choose/cut?q=reed')->filter('[role=option]')->attr('data-name'));
        $page = $this->get('/project/new');
        $fields = [
            'version' => 'T118 Towpath coat, C',
            'size' => '14',
            'claims' => [['role' => 'main', 'from' => 'own', 'cut' => 'Reed canvas, 2.34 m, 137 cm']],
        ];
        $form = $page->selectButton('Save the project')->form();
        $preview = $this->browser->request('POST', '/project/preview', array_replace_recursive($form->getPhpValues(), $fields));
        self::assertStringContainsString('26 cm missing', self::says($preview));
        self::assertSame([], $this->workroom($account)->projects, 'a preview saves nothing');
        $begun = $this->browser->request('POST', '/project/preview', $form->getPhpValues());
        self::assertStringContainsString('This project has no cloth for main yet.', self::says($begun), 'it has no name yet');
        $this->get('/project/new');
        $this->send('Save the project', $fields);
        self::assertResponseRedirects();
        $says = self::says($this->browser->followRedirect());
        self::assertStringContainsString('Towpath coat is saved.', $says);
        self::assertStringContainsString('26 cm missing', $says);
        self::assertSame('Towpath coat', $this->only($account)->name, 'named after its pattern');
        $before = $this->only($account);
        $this->get('/project/'.$before->id.'/change');
        $this->send('Save the project', []);
        $after = $this->only($account);
        self::assertEquals(
            [$before->current->version, $before->current->size, $before->rank, $before->current->claims[0]->cut],
            [$after->current->version, $after->current->size, $after->rank, $after->current->claims[0]->cut],
            'saved unchanged, it stays the same',
        );
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('nonsense')]
    public function testBadInputGetsASentenceAndIsKept(array $fields, string $sentence): void
    {
        $account = $this->signInToDemo();
        $this->get('/project/'.$this->project('Towpath coat', $account)->id.'/change');
        $page = $this->send('Save the project', $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($sentence, self::says($page));
        self::assertSame($fields['size'] ?? '14', $page->filter('[name=size]')->attr('value'));
        self::assertSame(
            'Grandmother’s lining, 3.14 m, 91 cm',
            $page->filter('[name="claims[1][cut]"]')->attr('value'),
            'what was sound is kept too',
        );
        self::assertSame('14', $this->project('Towpath coat', $account)->current->size, 'nothing is saved');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'a size not in the table' => [
            ['size' => '99'],
            'Size 99 is not in the table of version C: it has 8, 10, 12, 14, 16, 18, 20.',
        ];
        yield 'a version that is not there' => [['version' => 'Moon suit'], 'There is no version called “Moon suit” in the library'];
        yield 'a cut that is not there' => [['claims' => [['cut' => 'Moon cloth']]], 'There is no cut called “Moon cloth” in the stash'];
        yield 'hours in words' => [['hours' => 'ages'], '“ages” cannot be read as hours'];
        yield 'a day that is none' => [['deadline' => '2027-02-31'], 'is not a day'];
        yield 'a negative claim' => [['claims' => [['stated' => '-1']]], 'below zero'];
        yield 'fibres of 120 %' => [['claims' => [['from' => 'buy', 'fibres' => '60 cotton 60 wool']]], 'add up to 120 %'];
        yield 'an alteration without a length' => [['alterations' => [['name' => 'Lengthen']]], 'How much longer does this make the lay?'];
        yield 'a rank below one' => [['rank' => '0'], 'type a whole number from 1 to 1000'];
        yield 'a certainty nobody knows' => [['certainty' => 'surely'], 'cannot be chosen here'];
    }

    public function testAProjectMovesInRankAndToAnotherSeasonAndIsTakenOffWithUndo(): void
    {
        $account = $this->signInToDemo();
        $coat = $this->project('Towpath coat', $account);
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['rank' => '1']);
        self::assertResponseRedirects();
        self::assertSame('Towpath coat', $this->get('/season')->filter('.project .who a')->first()->text());
        self::assertSame(range(1, 11), array_map(static fn (Project $project): int => $project->rank, $this->open($account)));
        $rime = array_values(array_filter($this->workroom($account)->seasons, static fn ($season): bool => 'Rime' === $season->name))[0];
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['season' => $rime->id]);
        self::assertSame('Rime', $this->project('Towpath coat', $account)->season->name);
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Take it off the plan', []);
        $undo = $this->offeredUndo();
        self::assertStringNotContainsString(
            'Towpath coat',
            $this->get('/season/'.$rime->id)
                ->filter('.ranked, .empty')
                ->text(),
        );
        $this->post($undo);
        self::assertStringContainsString('Towpath coat', $this->browser->followRedirect()->filter('.ranked')->text());
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['state' => 'given up']);
        self::assertSame(ProjectState::GivenUp, $this->project('Towpath coat', $account)->log->state);
        self::assertStringContainsString('done or given up', self::says($this->get('/season/'.$rime->id)));
    }

    /** @param array<string, string> $fields */
    #[DataProvider('seasons')]
    public function testASeasonSaysWhatIsMissingOrCannotBe(array $fields, string $sentence): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/season/new');
        $page = $this->send('Save the season', $fields + ['name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => '13', 'hours' => '4']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($sentence, self::says($page));
        self::assertSame([], $this->workroom($account)->seasons);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function seasons(): iterable
    {
        yield 'no name' => [['name' => ''], 'A name is missing'];
        yield 'no hours' => [['hours' => ''], 'the chalk line is drawn from it'];
        yield 'more hours than a week has' => [['hours' => '200'], 'hours up to 168'];
        yield 'no weeks' => [['weeks' => '0'], 'type a whole number from 1 to 60'];
        yield 'a day that is none' => [['starts' => 'soon'], 'is not a day'];
    }

    public function testASeasonIsChangedAndTheChalkLineMoves(): void
    {
        $account = $this->signInToDemo();
        $this->get('/season');
        self::assertStringContainsString('The hours run out here: 54 h', self::says($this->get('/season')));
        $this->get('/season/'.$this->project('Towpath coat', $account)->season->id.'/edit');
        $this->send('Save the season', ['hours' => '8']);
        self::assertStringContainsString('All of it fits into 96 h: 7.4 h to spare', self::says($this->browser->followRedirect()));
    }

    /** Whatever a document may hold, opening a form and saving it loses nothing. */
    public function testEveryFormOfTheDemoSavedUnchangedChangesNothing(): void
    {
        $account = $this->signInToDemo();
        $before = $this->workroom($account);
        foreach ($before->cloths as $cloth) {
            $this->get('/cloth/'.$cloth->id.'/edit');
            $this->send('Save the cloth', []);
            self::assertResponseRedirects(message: $cloth->name);
        }
        foreach ($before->patterns as $pattern) {
            $this->get('/patterns/'.$pattern->id.'/edit');
            $this->send('Save the pattern', []);
            self::assertResponseRedirects(message: $pattern->title);
            foreach ($pattern->versions as $version) {
                $this->get('/versions/'.$version->id);
                $this->send('Save the version', []);
                self::assertResponseRedirects(message: $pattern->title.' '.$version->name);
            }
        }
        foreach ($before->projects as $project) {
            $this->get('/project/'.$project->id.'/change');
            $this->send('Save the project', []);
            self::assertResponseRedirects(message: $project->name);
        }
        $written = static fn (Workroom $workroom): string => (new WorkroomWriter())->write($workroom);
        self::assertSame($written($before), $written($this->workroom($account)));
    }

    public function testMoreThanAFormHasRoomForIsKept(): void
    {
        $account = $this->account();
        $this->service(Workrooms::class)->replace(
            $this->fresh($account),
            (new WorkroomReader())->read(
                json_encode(
                    [
                        'format' => 'octavum-workroom',
                        'version' => 1,
                        'name' => 'Maud',
                        'cloths' => [
                            [
                                'id' => 'c',
                                'name' => 'Lawn',
                                'colours' => ['#111111', '#222222', '#333333', '#444444', '#555555'],
                                'cuts' => [
                                    [
                                        'id' => 'cut',
                                        'ledger' => [
                                            ['on' => '2027-01-01', 'kind' => 'bought', 'length' => 2286],
                                            ['on' => '2027-01-02', 'kind' => 'given away'],
                                        ],
                                    ],
                                ],
                            ],
                        ],
                        'patterns' => [
                            [
                                'id' => 'k',
                                'title' => 'Skirt',
                                'editions' => array_map(
                                    static fn (int $i): array => ['name' => 'Copy '.$i, 'sizes' => [(string) $i]],
                                    range(1, 6),
                                ),
                                'versions' => [['id' => 'v', 'name' => 'A', 'sizes' => ['14']]],
                            ],
                        ],
                        'seasons' => [['id' => 's', 'name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => 13, 'minutesPerWeek' => 240]],
                        'projects' => [
                            [
                                'id' => 'j',
                                'name' => 'Skirt',
                                'season' => 's',
                                'rank' => 1,
                                'version' => 'v',
                                'alterations' => array_map(
                                    static fn (int $i): array => ['name' => 'Longer '.$i, 'length' => 10 * $i],
                                    range(1, 5),
                                ),
                                'claims' => [
                                    ['role' => 'main', 'cut' => 'cut', 'cutOut' => true],
                                    [
                                        'role' => 'lining',
                                        'buy' => ['name' => 'Silk', 'repeat' => 80, 'oneWay' => true, 'structure' => 'knit'],
                                    ],
                                ],
                            ],
                        ],
                    ],
                    \JSON_THROW_ON_ERROR,
                ),
            ),
        );
        $this->browser->loginUser($account);
        $before = $this->workroom($account);
        foreach (
            [
                '/cloth/'.$before->cloths[0]->id.'/edit' => 'Save the cloth',
                '/patterns/'.$before->patterns[0]->id.'/edit' => 'Save the pattern',
                '/project/'.$before->projects[0]->id.'/change' => 'Save the project',
            ] as $path => $button
        ) {
            $this->get($path);
            $this->send($button, []);
            self::assertResponseRedirects();
        }
        $written = static fn (Workroom $workroom): string => (new WorkroomWriter())->write($workroom);
        self::assertSame($written($before), $written($this->workroom($account)));
    }

    public function testAChildsProjectShowsTheUsualCautions(): void
    {
        $account = $this->signInToDemo();
        self::assertStringContainsString(
            'can be swallowed',
            self::says($this->get('/project/'.$this->project('Naming-day top', $account)->id.'/change')),
        );
        self::assertStringNotContainsString(
            'can be swallowed',
            self::says($this->get('/project/'.$this->project('Towpath coat', $account)->id.'/change')),
        );
    }

    public function testAWashedClothClearsItsSnag(): void
    {
        $this->signInToDemo();
        $snags = $this->fetched();
        self::assertStringContainsString('4 cloths are not washed yet', $snags->text());
        $this->browser->submit($snags->filter('.snag:contains("not washed yet") form')->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('Midnight sateen is washed but not measured again', $this->fetched()->text());
    }

    /** The number of queries does not grow with the workroom; one of them, in every room, is for the season switch. */
    public function testPagesMakeABoundedNumberOfQueries(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $counts = [];
        foreach ([[20, 30, 10, 4], [200, 280, 60, 40]] as $size) {
            $this->service(Workrooms::class)->replace($this->fresh($account), (new LargeWorkroom())->make(...$size));
            foreach ($this->pages($this->workroom($account)) as $path => $most) {
                $this->get($path);
                $sent = QueryCounter::during(fn () => $this->get($path));
                self::assertLessThanOrEqual($most, $sent, $path);
                $counts[preg_replace('/[0-9A-Z]{26}/', '…', $path)][] = $sent;
            }
        }
        foreach ($counts as $page => [$small, $large]) {
            self::assertSame($small, $large, $page);
        }
    }

    /** @return iterable<string, int> every page that is looked at → queries it may make */
    private function pages(Workroom $workroom): iterable
    {
        $project = $workroom->projects[0];
        $pattern = $workroom->patterns[0];
        $version = $pattern->versions[0];
        yield from [
            '/season' => 16,
            '/season/'.$project->season->id.'/workings' => 15,
            '/season/'.$project->season->id.'/edit' => 3,
            '/season/new' => 2,
            '/cloth' => 15,
            '/cloth/new' => 2,
            '/cloth/haul' => 2,
            '/cloth/csv' => 2,
            '/cloth/'.$project->current->claims[0]->cloth?->id => 15,
            '/cloth/'.$project->current->claims[0]->cloth?->id.'/edit' => 4,
            '/cloth/'.$project->current->claims[0]->cloth?->id.'/test/width' => 4,
            '/patterns' => 4,
            '/patterns/new' => 2,
            '/patterns/haul' => 2,
            '/patterns/'.$pattern->id => 7,
            '/patterns/'.$pattern->id.'/card' => 5,
            '/patterns/'.$pattern->id.'/edit' => 4,
            '/patterns/'.$pattern->id.'/alterations' => 5,
            '/versions/'.$version->id => 3,
            '/versions/'.$version->id.'/pieces' => 3,
            '/versions/'.$version->id.'/pieces/new' => 4,
            '/versions/'.$version->id.'/pieces/copy' => 4,
            '/shopping' => 15,
            '/lists' => 14,
            '/lists/new' => 13,
            '/project/new' => 10,
            '/project/'.$project->id => 16,
            '/project/'.$project->id.'/change' => 20,
            '/project/'.$project->id.'/pieces' => 19,
            '/project/'.$project->id.'/block' => 16,
            '/match' => 16,
            '/match?cut='.$project->current->claims[0]->cut?->id => 21,
            '/match?q=2.1+m+140+wide+linen' => 19,
            '/match/pattern?version='.$version->id => 20,
            '/match/best' => 16,
            '/find?q=moss' => 9,
            '/people' => 3,
            '/people/'.$workroom->people[0]->id => 5,
            '/notions' => 3,
            '/settings' => 5,
            '/table' => 18,
            '/table/new?project='.$project->id => 17,
        ];
    }

    /** @return list<Project> of the latest season */
    private function open(Account $account): array
    {
        return array_values(
            array_filter(
                $this->workroom($account)->projects,
                static fn (Project $project): bool => $project->log->state->isOpen() && 'Thaw' === $project->season->name,
            ),
        );
    }

    /** @phpstan-impure */
    private function only(Account $account): Project
    {
        $projects = $this->workroom($account)->projects;
        self::assertCount(1, $projects);

        return $projects[0];
    }
}
