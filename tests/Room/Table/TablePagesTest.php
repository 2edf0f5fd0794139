<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Table;

use Octavum\Account\Account;
use Octavum\Console\LayJobCommand;
use Octavum\Core\Project\Project;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;
use Octavum\Tests\QueryCounter;
use Octavum\Work\Slots;
use Symfony\Component\Filesystem\Filesystem;

/**
 * @phpstan-type Place array{
 *     piece: string, copy: int, sheet: string, turn: int, flipped: bool, layers: int, x: float, y: float, locked?: bool,
 * }
 * @phpstan-type Answer array{
 *     status: string, faults: list<string>, missing: list<string>, used: list<array{millimetres: float}>, more?: string,
 * }
 * @phpstan-type Mat array{
 *     setup: array{oneWay: bool, across?: bool, eased?: list<string>, word?: string}, sheets: list<array{length: ?int, width: int}>,
 *     garments: list<array{known: string, size: string}>, ways: array<string, array{items: list<mixed>, refused: ?string}>,
 *     pieces: array<string, array{eased: bool}>, earlier?: array{lay: string, x: int, y: int, along: int, across: int, size: int}|null,
 * }
 */
final class TablePagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        (new Filesystem())->remove(self::data().'/work');
        $this->account = $this->signInToDemo();
    }

    public function testTheTableOffersWhatCanBeLaid(): void
    {
        $page = self::says($this->get('/table'));
        self::assertStringContainsString('Quarry pinafore', $page);
        self::assertStringContainsString('Lock-keeper trousers, wide', $page);
    }

    public function testAPatternLiesOnARollAndAProjectOnItsCut(): void
    {
        $tee = $this->project('Quarry pinafore');
        $mat = $this->mat('/table/new?project='.$tee->id);
        self::assertSame([1740, 1440], [$mat['sheets'][0]['length'], $mat['sheets'][0]['width']]);
        self::assertSame('pieces', $mat['garments'][0]['known']);
        self::assertCount(9, $mat['ways']['flat']['items']);
        $roll = $this->mat('/table/new?version='.$tee->current->version?->id.'&size=20');
        self::assertSame([null, '20'], [$roll['sheets'][0]['length'], $roll['garments'][0]['size']]);
        $block = $this->mat('/table/new?project='.$this->project('Lantern dress')->id);
        self::assertSame('calibrated', $block['garments'][0]['known']);
        self::assertTrue($block['setup']['oneWay'], 'the cloth decides');
        self::assertStringContainsString('one-way', (string) $block['ways']['crosswise']['refused']);
        self::assertSame([], $this->mat('/table/new')['pieces']);
    }

    public function testTheMachineSaysBetterLaysAndEndsWithASoundOne(): void
    {
        $done = $this->make($this->pinafore(), ['flat', 'gate']);
        self::assertStringContainsString('better', (string) $this->browser->getResponse()->getContent());
        self::assertSame([[], [], 'flat'], [$done['done']['faults'], $done['done']['missing'], $done['fold']]);
        self::assertCount(9, $done['places']);
        self::assertLessThan(1740, $done['done']['used'][0]['millimetres']);
    }

    public function testWorkIsStoppedWithTheBestSoFarAndWaitsItsTurn(): void
    {
        $asked = ['setup' => $this->pinafore(), 'folds' => ['flat'], 'seconds' => 30];
        $this->fetch('/table/make', $asked);
        $job = $this->begun();
        $this->fetch('/table/make/'.$job.'/stop', []);
        self::assertResponseStatusCodeSame(204);
        $began = hrtime(true);
        $this->work($job);
        self::assertLessThan(20e9, hrtime(true) - $began, 'not the 30 seconds');
        self::assertTrue($this->said($job)['ended']);

        $slots = $this->service(Slots::class);
        $taken = $slots->take('work');
        self::assertNotNull($taken);
        self::assertNull($slots->take('work'), 'a machine of two cores does one at a time');
        $this->fetch('/table/make', $asked);
        $second = $this->begun();
        $this->fetch('/table/make/'.$second.'/stop', []);
        $this->work($second);
        self::assertSame([[], true], array_values($this->said($second)), 'stopped while it waited, it says nothing');
        $taken->release();

        foreach ([0, 1] as $more) {
            $this->fetch('/table/make', $asked);
            $this->begun();
        }
        $this->fetch('/table/make', $asked);
        $this->fetch('/table/make', $asked);
        self::assertStringContainsString('Three lays of yours', (string) $this->browser->getResponse()->getContent());
    }

    public function testNobodySeesOrStopsAnothersWork(): void
    {
        $this->fetch('/table/make', ['setup' => $this->pinafore(), 'folds' => ['flat'], 'seconds' => 1]);
        $job = $this->begun();
        $this->browser->loginUser($this->account('other@example.org'));
        foreach ([$job, '../../secret', 'nonsense'] as $name) {
            $this->browser->request('GET', '/table/make/'.rawurlencode($name));
            self::assertResponseStatusCodeSame(404);
        }
    }

    public function testTwoCutsAreUsedTogetherButNoPieceLiesAcrossTheGap(): void
    {
        $setup = $this->threeOnTwo();
        $done = $this->make($setup, ['flat']);
        self::assertSame([[], []], [$done['done']['faults'], $done['done']['missing']]);
        self::assertSame(
            ['s0', 's1'],
            array_values(array_unique(array_column($done['places'], 'sheet'))),
            'the pieces are named with their cut',
        );
        $short = ['sheets' => [$setup['sheets'][1]]] + $setup;
        $done = $this->make($short, ['flat'])['done'];
        self::assertSame('short', $done['status']);
        self::assertMatchesRegularExpression(
            '/With (\d+ cm|\d\.\d\d m) more of Quarry tweed, the shorter all of it would go on\./',
            $done['more'] ?? '',
        );
    }

    public function testOneWayTrousersTakeMoreThanTwoWay(): void
    {
        $trousers = null;
        foreach ($this->workroom($this->account)->patterns as $pattern) {
            foreach ($pattern->versions as $version) {
                $trousers = 'Lock-keeper trousers' === $pattern->title && 'straight' === $version->name ? $version->id : $trousers;
            }
        }
        $used = function (bool $oneWay) use ($trousers): float {
            $done = $this->make(
                ['garments' => [['version' => $trousers, 'size' => '14']], 'sheets' => [['width' => 1480]], 'oneWay' => $oneWay],
                ['flat'],
            )['done'];
            self::assertSame([[], []], [$done['faults'], $done['missing']]);

            return $done['used'][0]['millimetres'];
        };
        self::assertGreaterThan($used(false) + 20, $used(true));
    }

    public function testPiecesFromOtherClothAndOptionsAreKeptWithTheLay(): void
    {
        $setup = ['off' => ['0/Front neck facing', '0/Back neck facing'], 'allowance' => 10, 'gap' => 2] + $this->pinafore();
        $made = $this->make($setup, ['flat']);
        self::assertCount(7, $made['places']);
        $saved = $this->ask('/table/save', ['setup' => $setup, 'fold' => 'flat', 'places' => $made['places'], 'name' => 'Without facings']);
        $lay = $this->workroom($this->account)->lays[3];
        self::assertSame(
            [true, 10, ['0/Front neck facing', '0/Back neck facing']],
            [$lay->sound, $lay->rules->allowance?->millimetres(), $lay->rules->off],
        );
        self::assertCount(7, $this->mat($saved['url'])['ways']['flat']['items']);
    }

    public function testAcrossTheClothAndUpsideDownAreKeptWithTheLayAndRefusedWhereTheyCannotBe(): void
    {
        $setup = ['across' => true, 'eased' => ['0/Front neck facing'], 'word' => 'nobody sees it'] + $this->pinafore();
        $made = $this->make($setup, ['flat']);
        self::assertSame([], $made['done']['faults']);
        self::assertSame([], array_diff(array_column($made['places'], 'turn'), [90, 270]), 'a quarter turned');
        $saved = $this->ask('/table/save', ['setup' => $setup, 'fold' => 'flat', 'places' => $made['places'], 'name' => 'Across']);
        $again = $this->mat($saved['url']);
        self::assertSame([true, ['0/Front neck facing']], [$again['setup']['across'] ?? null, $again['setup']['eased'] ?? null]);
        self::assertSame('nobody sees it', $again['setup']['word'] ?? null);
        self::assertSame([true, false], [$again['pieces']['0/Front neck facing']['eased'], $again['pieces']['0/Front bodice']['eased']]);
        foreach (['oneWay' => 'figures would lie on their side', 'match' => 'cannot be matched to its repeat'] as $with => $says) {
            self::assertStringContainsString($says, $this->ask('/table/mat', ['setup' => [$with => true] + $setup], 422)['fault']);
        }
    }

    public function testWhereTheFiguresLieIsOfferedForTheNextLayOfTheCutWhileItIsWhatItWas(): void
    {
        $figures = ['x' => 100, 'y' => 80, 'along' => 320, 'across' => 280, 'size' => 180];
        $earlier = fn (array $setup): mixed => $this->ask('/table/mat', ['setup' => $setup + $this->pinafore()])['earlier'] ?? null;
        $on = static fn (string $cut): array => ['sheets' => [['cut' => $cut]]];
        $cuts = $this->project('Quarry pinafore')->current->claims[0]->cloth->cuts ?? [];
        self::assertNull($earlier($on($cuts[0]->id)));
        $setup = $on($cuts[0]->id) + ['figures' => $figures + ['pieces' => []]] + $this->pinafore();
        $this->ask('/table/save', ['setup' => $setup, 'fold' => 'flat', 'places' => [], 'name' => 'Measured']);
        self::assertSame(['lay' => 'Measured'] + $figures, $earlier($on($cuts[0]->id)));
        self::assertSame('Measured', $this->mat('/table/new?cut='.$cuts[0]->id)['earlier']['lay'] ?? null);
        self::assertNull($earlier($on($cuts[1]->id)), 'another cut of the same cloth');
        self::assertNull($earlier($this->threeOnTwo()), 'on two cuts nothing is sure');
        $this->get('/cloth/'.$this->project('Quarry pinafore')->current->claims[0]->cloth?->id);
        $this->post('/cut/'.$cuts[0]->id.'/ledger', ['kind' => 'measured', 'length' => '1.2 m']);
        self::assertNull($earlier($on($cuts[0]->id)), 'its end is another one now');
    }

    public function testTwoTabsOnOneLay(): void
    {
        $this->savePinafore();
        $lay = $this->workroom($this->account)->lays[3];
        $body = [
            'setup' => $this->pinafore(),
            'fold' => 'flat',
            'places' => [],
            'id' => $lay->id,
            'revision' => '7',
            'name' => 'Second tab',
        ];
        self::assertStringContainsString('changed somewhere else', $this->ask('/table/save', $body, 409)['fault']);
        self::assertTrue($this->workroom($this->account)->lays[3]->sound, 'nothing is saved');
        $this->ask('/table/save', ['revision' => ''] + $body);
        self::assertSame('Second tab', $this->workroom($this->account)->lays[3]->name);
    }

    public function testALayByHandIsJudgedSavedReopenedAndCountsInTheSeason(): void
    {
        $setup = $this->pinafore();
        $places = $this->make($setup, ['flat'])['places'];
        $moved = [['x' => $places[1]['x'], 'y' => $places[1]['y']] + $places[0], ...\array_slice($places, 1)];
        $judged = $this->ask('/table/judge', ['setup' => $setup, 'fold' => 'flat', 'places' => $moved]);
        self::assertStringContainsString('overlap.', implode(' ', $judged['faults']));
        $saved = $this->ask('/table/save', [
            'setup' => $setup,
            'fold' => 'flat',
            'places' => $places,
            'name' => 'Pinafore on tweed',
            'locked' => [$places[2]['piece'].' '.$places[2]['copy']],
        ]);
        self::assertMatchesRegularExpression('~^/table/[0-9A-Z]{26}$~', $saved['url']);
        $page = $this->get($saved['url']);
        self::assertSame('Pinafore on tweed', $page->filter('h1')->text());
        /** @var array{places: list<Place>} $reopened */
        $reopened = json_decode($page->filter('#mat-saved')->text(), true);
        self::assertCount(9, $reopened['places']);
        self::assertCount(1, array_filter($reopened['places'], static fn (array $place): bool => $place['locked'] ?? false));
        $workings = self::says($this->get('/season/'.$this->project('Quarry pinafore')->season->id.'/workings'));
        self::assertMatchesRegularExpression(
            '/Laid out, flat, one layer: \d\d % of the length used is in pieces the lay 1\.\d+ m/',
            $workings,
        );
        self::assertStringNotContainsString('Quarry pinafore is 56 cm short', self::says($this->get('/season')));
        self::assertStringContainsString('is-laid', $this->get('/season')->html(), 'an area on the strip');
        self::assertStringContainsString('From the cut end', self::says($this->get($saved['url'].'/print')));
        $svg = $this->browser->request('GET', $saved['url'].'.svg');
        self::assertResponseHeaderSame('content-type', 'image/svg+xml');
        self::assertMatchesRegularExpression('/width="[\d.]+mm"/', (string) $this->browser->getResponse()->getContent());
    }

    public function testAnOptionIsLaidBeforeItLeadsAndKeepsItsLayWhenItDoes(): void
    {
        $coat = $this->project('Towpath coat');
        [$option] = $coat->openOptions();
        $new = $this->get('/table/new?project='.$coat->id.'&option='.$option->id);
        /** @var array{setup: array<string, mixed>} $mat */
        $mat = json_decode($new->filter('#mat')->text(), true);
        $saved = $this->ask('/table/save', ['setup' => $mat['setup'], 'fold' => 'flat', 'places' => [], 'name' => 'The short one']);
        $coat = $this->project('Towpath coat');
        self::assertNull($coat->current->claims[0]->lay, 'what leads has none');
        self::assertSame('The short one', $coat->openOptions()[0]->claims[0]->lay?->name);
        /** @var array{setup: array{garments: list<array<string, mixed>>}} $again */
        $again = json_decode($this->get($saved['url'])->filter('#mat')->text(), true);
        self::assertSame($option->id, $again['setup']['garments'][0]['option'], 'it is opened for the option again');
        $this->get('/project/'.$coat->id);
        $revision = $this->browser->getCrawler()->filter('[name=revision]')->first()->attr('value');
        $this->post('/project/'.$coat->id.'/option/'.$option->id.'/take', ['revision' => $revision, 'keep' => '1']);
        self::assertSame('The short one', $this->project('Towpath coat')->current->claims[0]->lay?->name);
        /** @var array{setup: array{garments: list<array<string, mixed>>}} $again */
        $again = json_decode($this->get($saved['url'])->filter('#mat')->text(), true);
        self::assertArrayNotHasKey('option', $again['setup']['garments'][0], 'it leads now');
        $this->browser->request('GET', '/table/new?project='.$coat->id.'&option=none');
        self::assertResponseStatusCodeSame(404);
    }

    public function testASavedLayGoesStaleWithTheSizeAndTheProjectKeepsIt(): void
    {
        $this->savePinafore();
        $id = $this->project('Quarry pinafore')->id;
        $this->get('/project/'.$id.'/change');
        $this->send('Save the project', ['size' => '16']);
        $season = self::says($this->fetched());
        self::assertStringContainsString(
            'The saved lay of Quarry pinafore does not count any more: it was laid in size 14, and the size is 16 now.',
            $season,
        );
        self::assertStringContainsString('Lay it again', $season);
        $lay = $this->workroom($this->account)->lays[3];
        self::assertStringContainsString('It does not count any more for Quarry pinafore', self::says($this->get('/table/'.$lay->id)));
        $this->get('/project/'.$id.'/change');
        $this->send('Save the project', ['size' => '14']);
        self::assertStringNotContainsString('does not count any more', self::says($this->fetched()));
    }

    public function testALayThatIsNotWholeIsKeptButDoesNotCount(): void
    {
        $setup = $this->pinafore();
        $places = \array_slice($this->make($setup, ['flat'])['places'], 0, 3);
        $this->ask('/table/save', ['setup' => $setup, 'fold' => 'flat', 'places' => $places, 'name' => 'Begun']);
        self::assertFalse($this->workroom($this->account)->lays[3]->sound);
        self::assertStringContainsString('Quarry pinafore is 56 cm short', self::says($this->get('/season')));
        self::assertStringContainsString('pieces are off the cloth, or one over another', self::says($this->get('/table')));
        $this->post('/table/'.$this->workroom($this->account)->lays[3]->id.'/remove');
        self::assertStringNotContainsString('Begun', self::says($this->get('/table'), '.table-lists'));
    }

    public function testLaysTravelWithTheWorkroom(): void
    {
        $this->savePinafore();
        $before = $this->workroom($this->account);
        $written = (new WorkroomWriter())->write($before);
        $read = (new WorkroomReader())->read($written);
        self::assertSame($written, (new WorkroomWriter())->write($read));
        self::assertSame(
            $before->lays[3]->id,
            array_values(array_filter($read->projects, static fn (Project $project): bool => 'Quarry pinafore' === $project->name))[0]
                ->current->claims[0]->lay?->id,
        );
    }

    public function testNonsenseGetsASentence(): void
    {
        $setup = $this->pinafore();
        foreach (
            [
                ['/table/mat', ['setup' => ['garments' => [['project' => 'nobody']], 'sheets' => []]], 'no longer on the plan'],
                ['/table/mat', ['setup' => ['garments' => [], 'sheets' => [['width' => -5]]]], 'A number from 100 to 4000'],
                ['/table/mat', ['setup' => 'soup'], 'An object is expected'],
                ['/table/judge', ['setup' => ['garments' => [], 'sheets' => []], 'places' => []], 'There is nothing to lay'],
                [
                    '/table/judge',
                    [
                        'setup' => $setup,
                        'fold' => 'flat',
                        'places' => [['piece' => '0/Moon', 'copy' => 1, 'sheet' => 's0', 'turn' => 0, 'x' => 0, 'y' => 0]],
                    ],
                    'This cannot be laid so: 0/Moon 1.',
                ],
                [
                    '/table/save',
                    [
                        'setup' => $setup,
                        'fold' => 'flat',
                        'name' => 'x',
                        'places' => [['piece' => '0/Front bodice', 'copy' => 1, 'sheet' => 's9', 'turn' => 0, 'x' => 0, 'y' => 0]],
                    ],
                    'This cannot be laid so: s9.',
                ],
                ['/table/save', ['setup' => $setup, 'fold' => 'flat', 'places' => [], 'name' => ''], 'A name is missing'],
            ] as [$path, $body, $sentence]
        ) {
            self::assertStringContainsString($sentence, $this->ask($path, $body, 422)['fault']);
        }
    }

    public function testAnotherAccountsLayIsNotThere(): void
    {
        $this->savePinafore();
        $id = $this->workroom($this->account)->lays[3]->id;
        $setup = $this->pinafore();
        $this->browser->loginUser($this->account('else@example.org'));
        foreach (['', '/print', '.svg'] as $page) {
            $this->browser->request('GET', '/table/'.$id.$page);
            self::assertResponseStatusCodeSame(404, $page);
        }
        self::assertStringContainsString('no longer', $this->ask('/table/mat', ['setup' => $setup], 422)['fault']);
    }

    public function testTheNumberOfQueriesDoesNotGrowWithTheLays(): void
    {
        $this->savePinafore();
        $this->get('/table');
        $one = QueryCounter::during(fn () => $this->get('/table'));
        $this->savePinafore();
        $this->savePinafore();
        $this->get('/table');
        self::assertSame($one, QueryCounter::during(fn () => $this->get('/table')));
    }

    public function testALayIsLookedAtWithABoundedNumberOfQueries(): void
    {
        $lay = '/table/'.$this->workroom($this->account)->lays[0]->id;
        $this->get($lay);
        $one = QueryCounter::during(fn () => $this->get($lay));
        self::assertLessThanOrEqual(25, $one);
        $this->savePinafore();
        $this->savePinafore();
        self::assertSame($one, QueryCounter::during(fn () => $this->get($lay)), 'however many there are');
    }

    public function testTheBlockStandsBesideTheTable(): void
    {
        self::assertStringContainsString(
            'Calibrated block, give or take 15 %',
            self::says($this->get('/project/'.$this->project('Lantern dress')->id.'/block')),
        );
    }

    private function savePinafore(): void
    {
        $setup = $this->pinafore();
        $this->ask('/table/save', [
            'setup' => $setup,
            'fold' => 'flat',
            'places' => $this->make($setup, ['flat'])['places'],
            'name' => 'Pinafore',
        ]);
    }

    /** @return array<string, mixed> */
    private function pinafore(): array
    {
        $project = $this->project('Quarry pinafore');

        $cut = $project->current->claims[0]->cut?->id;

        return ['garments' => [['project' => $project->id, 'role' => 'main']], 'sheets' => [['cut' => $cut]]];
    }

    /** @return array{garments: list<array<string, mixed>>, sheets: list<array<string, mixed>>} */
    private function threeOnTwo(): array
    {
        $cuts = $this->project('Quarry pinafore')->current->claims[0]->cloth->cuts ?? [];

        return [
            'garments' => array_map(fn (string $name): array => ['project' => $this->project($name)->id, 'role' => 'main'], [
                'Quarry pinafore',
                'Tweed waistcoat',
                'Gathered tweed skirt',
            ]),
            'sheets' => array_map(static fn ($cut): array => ['cut' => $cut->id], $cuts),
        ];
    }

    /** @return Mat */
    private function mat(string $path): array
    {
        /** @var Mat $mat */
        $mat = json_decode($this->get($path)->filter('#mat')->text(), true);

        return $mat;
    }

    /**
     * @param array<string, mixed> $setup
     * @param list<string>         $folds
     *
     * @return array{done: Answer, fold: string, places: list<Place>} the last that was said
     */
    private function make(array $setup, array $folds): array
    {
        $this->fetch('/table/make', ['setup' => $setup, 'folds' => $folds, 'seconds' => 1]);
        $job = $this->begun();
        $this->work($job);
        $said = $this->said($job);
        self::assertTrue($said['ended']);
        /** @var array{done: Answer, fold: string, places: list<Place>} $last */
        $last = json_decode((string) end($said['lines']), true);

        return $last;
    }

    private function begun(): string
    {
        $begun = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($begun);

        return \is_string($begun['job'] ?? null) ? $begun['job'] : self::fail((string) $this->browser->getResponse()->getContent());
    }

    /** What the process of its own does. */
    private function work(string $job): void
    {
        self::assertSame(0, $this->service(LayJobCommand::class)($job, $this->account->email));
    }

    /** @return array{lines: list<string>, ended: bool} */
    private function said(string $job): array
    {
        $this->browser->request('GET', '/table/make/'.$job);
        self::assertResponseIsSuccessful();
        /** @var array{lines: list<string>, ended: bool} $said */
        $said = json_decode((string) $this->browser->getResponse()->getContent(), true);

        return $said;
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array{fault: string, url: string, faults: list<string>, earlier?: array<string, mixed>|null}
     */
    private function ask(string $path, array $body, int $status = 200): array
    {
        $this->fetch($path, $body);
        self::assertResponseStatusCodeSame($status);
        /** @var array{fault: string, url: string, faults: list<string>, earlier?: array<string, mixed>|null} $answer */
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);

        return $answer;
    }

    /** @param array<string, mixed> $body */
    private function fetch(string $path, array $body): void
    {
        $token = (string) $this->get('/table/new')->filter('meta[name=csrf]')->attr('content');
        $this->browser->request(
            'POST',
            $path,
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_X_TOKEN' => $token],
            (string) json_encode($body),
        );
    }
}
