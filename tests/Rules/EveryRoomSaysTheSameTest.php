<?php

declare(strict_types=1);

namespace Octavum\Tests\Rules;

use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Document\WorkroomReader;
use Octavum\Store\Plan\LaySettler;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\DomCrawler\Crawler;

/**
 * Each case of a verdict worked by hand, asked of the command, the season, the project, the table and the shopping list:
 * all of them read one answer and must say it alike. A cut of cotton is bought, washed and measured unless a case says so.
 */
final class EveryRoomSaysTheSameTest extends PageTestCase
{
    /** What an option holds beside version, size and cloths. */
    private const WAY = ['alterations' => 1, 'matching' => 1, 'leftOut' => 1, 'parts' => 1, 'copies' => 1];
    private const SQUARE = [[0, 0], [600, 0], [600, 500], [0, 500]];

    /**
     * @param array<string, mixed> $cloth
     * @param array<string, mixed> $version
     * @param array<string, mixed> $project
     * @param array<string, mixed> $pattern
     * @param ?string              $match   what the match says of it where that is not the same figure
     */
    #[DataProvider('cases')]
    public function testOneAnswerInEveryRoom(
        string $verdict,
        string $says,
        array $cloth = [],
        array $version = [],
        array $project = [],
        array $pattern = [],
        string $snag = '',
        ?string $match = null,
    ): void {
        $document = self::document($cloth, $version, $project, $pattern);
        $file = sys_get_temp_dir().'/octavum-case-'.getmypid().'.json';
        file_put_contents($file, json_encode($document));
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('octavum:check'));
        $command->execute(['file' => $file, '--json' => true]);
        unlink($file);
        /** @var array{projects: list<array{verdict: string, roles: list<array<string, mixed>>, snags: list<string>}>} $checked */
        $checked = json_decode($command->getDisplay(), true, 32, \JSON_THROW_ON_ERROR);
        self::assertSame($verdict, $checked['projects'][0]['verdict'], $command->getDisplay());
        $role = $checked['projects'][0]['roles'][0];
        self::assertSame($verdict, $role['verdict']);
        self::assertStringContainsString($says, implode(' ', array_filter($role, \is_string(...))));
        if ('' !== $snag) {
            self::assertStringContainsString($snag, implode(' ', $checked['projects'][0]['snags']));
        }

        $account = $this->importing($document);
        $this->browser->loginUser($account);
        $season = $this->get('/season');
        self::assertStringContainsString($verdict, self::says($season, '.project .enough'));
        $id = (string) $season->filter('.project')->attr('data-id');
        $answer = self::says($this->get('/project/'.$id.'/change'), '#answer');
        $page = self::says($this->get('/project/'.$id), '#main');
        self::assertStringContainsString($verdict, $answer);
        self::assertStringContainsString($verdict, $page);
        self::assertStringContainsString($verdict, self::says($this->get('/table'), '.table-lists'));
        if ('' !== $snag) {
            foreach ([self::says($season, '.snags'), $answer, $page] as $place) {
                self::assertStringContainsString($snag, $place);
            }
        }
        $option = self::says($this->get($this->linked($id, 'option/')), '#answer');
        self::assertStringContainsString($verdict, $option, 'as an option');
        self::assertStringContainsString($says, $option, 'as an option');
        if ('to buy' !== $verdict) {
            $gate = $this->get($this->linked($id, 'gate/'));
            $isEnough = static fn (Crawler $check): bool => str_contains($check->text(), 'Enough cloth');
            self::assertSame(
                'fits' === $verdict || 'tight' === $verdict ? 'clear' : 'open',
                self::says($gate->filter('.check')->reduce($isEnough), '.check-state'),
                'at the gate: '.self::says($gate, '#main'),
            );
        }
        $shopping = self::says($this->get('/shopping'), '#main');
        self::assertSame(\in_array($verdict, ['short', 'to buy'], true), !str_contains($shopping, 'Nothing to buy'), $shopping);

        // what a project alone says is not known where a pattern is matched
        if ([] === array_intersect_key($project, ['alterations' => 1, 'matching' => 1, 'leftOut' => 1, 'claims' => 1])) {
            $this->filling($account, ['projects' => []] + $document);
            $match ??= $says.('short' === $verdict ? ' short.' : ' left.');
            $page = $this->get('/match/pattern?size=14&q='.urlencode('Case pattern, A'));
            self::assertStringContainsString($match, self::says($page, '#main'));
        }
    }

    /**
     * Short by the envelope and enough when it is laid: every room says so, keeping the lay makes it enough in every room, and one
     * press takes that back.
     *
     * @param int                  $usable  of the cut, mm
     * @param string               $short   by the envelope
     * @param string               $used    of the cut by the lay
     * @param array<string, mixed> $cloth
     * @param array<string, mixed> $project
     */
    #[DataProvider('laid')]
    public function testALayThatIsEnoughIsEnoughInEveryRoomOnceItIsKept(
        int $usable,
        string $short,
        string $used,
        array $cloth = [],
        array $project = [],
    ): void {
        $this->forgetLays();
        $panel = ['name' => 'Panel', 'quantity' => 3, 'shapes' => [['outline' => [[0, 0], [700, 0], [700, 600], [0, 600]]]]];
        $account = $this->importing(self::document(
            $cloth + ['width' => 1400, 'cuts' => [self::cut($usable + 60)]],
            ['requirements' => [['role' => 'main', 'width' => 1400, 'nap' => 'without', 'lengths' => [1600]]], 'pieces' => [$panel]],
            $project + ['options' => []],
            ['garment' => 'skirt'],
        ));
        $this->browser->loginUser($account);
        $id = (string) $this->get('/season')->filter('.project')->attr('data-id');
        $this->service(LaySettler::class)->settle($account);

        $says = 'Case is '.$short.' short on Case cloth by the envelope, and enough when it is laid.';
        $gate = $this->linked($id, 'gate/');
        $rooms = ['/season', '/project/'.$id, $gate, '/project/'.$id.'/change'];
        foreach ($rooms as $room) {
            self::assertStringContainsString($says, self::says($this->get($room)), $room);
        }
        $keeping = 'Case on Case cloth: '.$short.' short by the envelope; laid, '.$used;
        self::assertStringContainsString($keeping, self::says($this->get('/shopping'), '#keep'));
        $remedies = (string) $this->get('/project/'.$id)->filter('.enough-panel')->attr('data-url');
        self::assertStringContainsString($used, self::says($this->get($remedies), 'body'), 'among the remedies');

        $this->browser->submit($this->get('/season')->filter('form[action$="/keep"]')->form());
        $toast = $this->browser->followRedirect();
        foreach ([...$rooms, '/shopping'] as $room) {
            self::assertStringNotContainsString($short.' short on', self::says($this->get($room)), $room);
        }
        self::assertStringContainsString('Nothing to buy', self::says($this->get('/shopping'), '#main'));
        self::assertMatchesRegularExpression('/fits|tight/', self::says($this->get('/table'), '.table-lists'));
        $lay = (string) $this->get('/table')->filter('a[href^="/table/01"]')->attr('href');
        self::assertStringContainsString('Case', self::says($this->get($lay)), 'and it opens on the table');

        $this->get('/season');
        $this->post((string) $toast->filter('.toast form')->attr('action'));
        self::assertStringContainsString($says, self::says($this->get('/season')), 'one press takes it back');
    }

    /** @return iterable<string, array<int|string, mixed>> */
    public static function laid(): iterable
    {
        // three panels 70 × 60 on 1.38: two and one, 1.40; the envelope says 1.60
        yield 'A5 plain' => [1500, '10 cm', '1.40 m'];
        yield 'A4 10 cm longer, in each of the two rows: 1.50 of 1.60' => [
            1600,
            '10 cm',
            '1.50 m',
            [],
            ['alterations' => [['name' => 'Longer', 'length' => 100]]],
        ];
        yield 'A4 10 cm shorter' => [
            1400,
            '10 cm',
            '1.30 m',
            [],
            ['alterations' => [['name' => 'Shorter', 'length' => -100]]],
        ];
        // a skirt has two main lengths, so two repeats; laid, the lower panel begins four repeats down, 92 + 70
        yield 'B7 a repeat of 23 cm, its place free' => [1700, '36 cm', '1.62 m', ['repeat' => 230]];
        yield 'A4 a repeat and longer: four of 23 and 80' => [
            1800,
            '36 cm',
            '1.72 m',
            ['repeat' => 230],
            ['alterations' => [['name' => 'Longer', 'length' => 100]]],
        ];
        yield 'one-way: the larger of 15 % and 25 cm by the envelope, nothing when laid' => [
            1500,
            '35 cm',
            '1.40 m',
            ['direction' => 'one-way'],
        ];
        yield 'a repeat that is not to be matched' => [1500, '10 cm', '1.40 m', ['repeat' => 230], ['matching' => 'never']];
    }

    /** The address behind the first link of a project's page that leads to a room of its own. */
    private function linked(string $project, string $room): string
    {
        $link = $this->get('/project/'.$project)->filter('a[href*="/'.$room.'"]');

        return (string) $link->attr('href');
    }

    /** @return iterable<string, array<int|string, mixed>> */
    public static function cases(): iterable
    {
        $bite = static fn (int $from, int $below, int $length, int $width): array => [
            'cuts' => [self::cut(3060) + ['bites' => [compact('from', 'below', 'length', 'width')]]],
        ];
        $need = static fn (int $length, int $width = 1500, string $nap = 'without'): array => [
            'requirements' => [['role' => 'main', 'width' => $width, 'nap' => $nap, 'lengths' => [$length]]],
        ];
        $piece = static fn (array $more): array => ['pieces' => [$more + ['name' => 'Back', 'shapes' => [['outline' => self::SQUARE]]]]];

        yield '1 whole, for comparison' => ['fits', '70 cm', ['cuts' => [self::cut(3060)]], $need(2300)];
        yield '1 a part missing across the whole width: 2.00 is the longest stretch, 1.94 to cut' => [
            'short',
            '36 cm',
            $bite(1000, 0, 60, 1500),
            $need(2300),
        ];
        yield '1 the far end missing: 2.00 m are left' => ['short', '36 cm', $bite(2000, 0, 1060, 1500), $need(2300)];
        yield '1 a bite out of one side makes two lengths' => ['short', '36 cm', $bite(1000, 0, 60, 300), $need(2300)];
        yield '1 a strip along one edge: 1.20 wide reads the 115 row' => [
            'fits',
            '70 cm',
            $bite(0, 0, 3060, 300),
            [
                'requirements' => [
                    ['role' => 'main', 'width' => 1150, 'nap' => 'without', 'lengths' => [2300]],
                    ['role' => 'main', 'width' => 1500, 'nap' => 'without', 'lengths' => [1000]],
                ],
            ],
        ];
        yield '1 … and a piece of 1.30 m is too wide for it' => [
            'short',
            'Back is 1.30 m across',
            $bite(0, 0, 3060, 300),
            $need(1000, 900) + $piece(['shapes' => [['outline' => [[0, 0], [600, 0], [600, 1300], [0, 1300]]]]]),
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '2 on the fold: 2 × 76 is wider than 148' => [
            'short',
            'Back is 1.52 m across',
            [],
            $need(1000) + $piece(['onFold' => true, 'shapes' => [['outline' => [[0, 0], [600, 0], [600, 760], [0, 760]]]]]),
            'snag' => 'no length of it is enough',
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '2 … 2 × 74 is not' => [
            'fits',
            '1.30 m',
            [],
            $need(1000) + $piece(['onFold' => true, 'shapes' => [['outline' => [[0, 0], [600, 0], [600, 740], [0, 740]]]]]),
        ];
        yield '2 grain across: its length lies across' => [
            'short',
            'Back is 1.50 m across',
            [],
            $need(1000) + $piece(['grain' => 'across', 'shapes' => [['outline' => [[0, 0], [1500, 0], [1500, 300], [0, 300]]]]]),
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '2 with its allowance: 1.46 + 2 × 1.5 cm' => [
            'short',
            'Back is 1.49 m across',
            [],
            $need(1000) + $piece(['shapes' => [['allowance' => 15, 'outline' => [[0, 0], [600, 0], [600, 1460], [0, 1460]]]]]),
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '2 selvages of 3 cm leave 1.44' => [
            'short',
            'Back is 1.46 m across',
            ['selvage' => 30],
            $need(1000) + $piece(['shapes' => [['outline' => [[0, 0], [600, 0], [600, 1460], [0, 1460]]]]]),
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '2 after shrinkage across: 1.48 × 0.98' => [
            'short',
            'Back is 1.46 m across',
            ['cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(1000) + $piece(['shapes' => [['outline' => [[0, 0], [600, 0], [600, 1460], [0, 1460]]]]]),
            'match' => 'Back is wider than the cloth, so that no length of it is enough.',
        ];
        yield '3 no table: a guess beside not known' => [
            'not known yet',
            'give or take',
            [],
            ['requirements' => []],
            [],
            ['garment' => 'skirt'],
            'enter the table or the pieces',
            'match' => 'Version A has no requirement table: enter it from the envelope.',
        ];
        yield '5 cut into without a length' => [
            'not known yet',
            'Measure what is left',
            ['cuts' => [self::cut(2360, ['cut', null])]],
            $need(1000),
            'snag' => 'was taken and not measured',
            'match' => 'length not known Needs 1.00 m',
        ];
        yield '5 given away with a length: the rest is here' => [
            'fits',
            '74 cm',
            ['cuts' => [self::cut(2360, ['given away', 1800])]],
            $need(1000),
        ];
        yield '5 given away, all of it' => [
            'short',
            '1.00 m',
            ['cuts' => [self::cut(2360, ['given away', null])]],
            $need(1000),
            'snag' => 'no longer here',
            'match' => 'Nothing in the stash will do for it.',
        ];
        yield '5 … a later wash does not bring it back' => [
            'short',
            '1.00 m',
            ['cuts' => [self::cut(2360, ['given away', null], ['washed', null])]],
            $need(1000),
            'snag' => 'no longer here',
            'match' => 'Nothing in the stash will do for it.',
        ];
        yield '5 a wash written down late is read by its day' => [
            'tight',
            '6 cm',
            [
                'cuts' => [
                    [
                        'id' => 'cut',
                        'ledger' => [
                            self::entry('bought', 2500, '2026-01-01'),
                            self::entry('measured', 2400, '2026-03-01'),
                            self::entry('washed', null, '2026-02-01'),
                        ],
                    ],
                ],
            ],
            $need(2280),
        ];
        yield '6 velvet without a word of direction has nap: 2.00 + 15 %' => ['tight', '0 cm', ['type' => 'velvet'], $need(2000)];
        yield '6 … unless someone says it has none' => ['fits', '30 cm', ['type' => 'velvet', 'direction' => 'none'], $need(2000)];
        yield '6 a row that does not say is without nap' => [
            'tight',
            '0 cm',
            ['type' => 'corduroy'],
            ['requirements' => [['role' => 'main', 'width' => 1500, 'lengths' => [2000]]]],
        ];
        yield '6 cotton jersey shrinks as a knit: 2.30 × 0.94' => [
            'fits',
            '16 cm',
            ['type' => 'jersey', 'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(2000),
        ];
        yield '6 brushed cotton: 2.30 × 0.92, not one-way until somebody says so, and asked' => [
            'fits',
            '11 cm',
            ['type' => 'flannel', 'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(2000),
            'snag' => 'Is Case cloth brushed one way?',
        ];
        yield '6 brushed cotton, said to be one-way: 2.11 of 2.30' => [
            'short',
            '19 cm',
            ['type' => 'flannel', 'direction' => 'one-way', 'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(2000),
        ];
        yield '7 dry clean only: 1 %, and never told to wash' => [
            'fits',
            '27 cm',
            [
                'fibres' => ['wool' => 100],
                'type' => 'suiting',
                'care' => 'dry clean only',
                'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]],
            ],
            $need(2000),
            'snag' => 'steam it, do not wash it',
        ];
        yield '7 not to be washed settles a cut' => [
            'fits',
            '30 cm',
            ['cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360), self::entry('not to be washed', null)]]]],
            $need(2000),
        ];
        yield '8 44 in reads the 115 row' => ['fits', '30 cm', ['width' => 1117.6], $need(2000, 1150)];
        yield '8 148 reads the 60 in row' => ['fits', '30 cm', ['width' => 1480], $need(2000, 1524)];
        yield '8 an empty cell at the own width: 1.80 converted to 2.44, and ¼ yd' => [
            'short',
            '38 cm',
            ['width' => 1150],
            [
                'requirements' => [
                    ['role' => 'main', 'width' => 1150, 'nap' => 'without', 'lengths' => [null]],
                    ['role' => 'main', 'width' => 1500, 'nap' => 'without', 'lengths' => [1800]],
                ],
            ],
            'snag' => 'has no length for size 14',
        ];
        yield '9 a contrast takes no main lengths' => [
            'fits',
            '2.00 m',
            ['repeat' => 640],
            ['requirements' => [['role' => 'contrast', 'width' => 1500, 'nap' => 'without', 'lengths' => [300]]]],
            ['claims' => [['role' => 'contrast', 'cut' => 'cut']]],
        ];
        yield '9 matching is a choice' => ['fits', '1.30 m', ['repeat' => 640], $need(1000), ['matching' => 'never']];
        yield '10 linen viscose: the larger of both, 2.30 × 0.94' => [
            'fits',
            '16 cm',
            ['fibres' => ['linen' => null, 'viscose' => null], 'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(2000),
        ];
        yield '13 shorter by 15 cm' => ['fits', '15 cm', [], $need(2300), ['alterations' => [['name' => 'Shorter', 'length' => -150]]]];
        yield '13 an alteration kept for the person is counted' => [
            'short',
            '6 cm',
            [],
            $need(2300),
            ['person' => 'p'],
            ['alterations' => [['person' => 'p', 'name' => 'Longer', 'length' => 60]]],
        ];
        yield '13 … unless it is left out on purpose' => [
            'tight',
            '0 cm',
            [],
            $need(2300),
            ['person' => 'p', 'leftOut' => ['Longer']],
            ['alterations' => [['person' => 'p', 'name' => 'Longer', 'length' => 60]]],
        ];
        yield '14 a woven-only pattern on jersey' => [
            'fits',
            '1.30 m',
            ['type' => 'jersey'],
            $need(1000),
            [],
            ['onlyFor' => 'woven'],
            'is for woven cloth only',
            'match' => 'Drafted for woven cloth, and this is knit.',
        ];
        yield '14 too little stretch' => [
            'fits',
            '1.30 m',
            ['type' => 'jersey', 'stretch' => ['across' => 20]],
            $need(1000),
            [],
            ['cloth' => ['stretch' => 40]],
            'wants a stretch of 40 %',
            'match' => 'Stretches 20 %, and it wants 40',
        ];
        foreach (
            [
                'cut, and 0 left' => ['cut', 0],
                'spoilt' => ['spoilt', null],
                'taken apart' => ['taken apart', null],
                'a remnant of 0' => ['remnant', 0],
                'measured, and 0 left' => ['measured', 0],
            ] as $how => $entry
        ) {
            yield 'A1 '.$how => [
                'short',
                '1.00 m',
                ['cuts' => [self::cut(2360, $entry)]],
                $need(1000),
                'snag' => 'no longer here',
                'match' => 'Nothing in the stash will do for it.',
            ];
        }
        yield 'A3 four of a named piece, two and two: the lower begin at the next repeat, 64 + 60 of 1.20' => [
            'short',
            '4 cm',
            ['repeat' => 640, 'cuts' => [self::cut(1260)]],
            $need(2000) + $piece(['quantity' => 4]),
            ['claims' => [['role' => 'main', 'cut' => 'cut', 'pieces' => ['Back']]]],
        ];
        yield 'A4 a repeat and 10 cm longer: 1.50, three repeats of 20, and 10' => [
            'tight',
            '10 cm',
            ['repeat' => 200],
            $need(1500),
            ['alterations' => [['name' => 'Longer', 'length' => 100]]],
        ];
        yield 'A4 a repeat and 10 cm shorter' => [
            'fits',
            '30 cm',
            ['repeat' => 200],
            $need(1500),
            ['alterations' => [['name' => 'Shorter', 'length' => -100]]],
        ];
        yield 'A4 a repeat, matched for a match too: 1.50 and three of 20' => ['fits', '20 cm', ['repeat' => 200], $need(1500)];
        yield 'B12 linen and cotton by shares, 60/40: (5 × 60 + 4 × 40) % of 2.30' => [
            'fits',
            '19 cm',
            ['fibres' => ['linen' => 60, 'cotton' => 40], 'cuts' => [['id' => 'cut', 'ledger' => [self::entry('bought', 2360)]]]],
            $need(2000),
        ];
        yield 'B13 the row with nap asks less than the other and its allowance' => [
            'fits',
            '20 cm',
            ['direction' => 'one-way'],
            [
                'requirements' => [
                    ['role' => 'main', 'width' => 1150, 'nap' => 'with', 'lengths' => [2100]],
                    ['role' => 'main', 'width' => 1500, 'nap' => 'without', 'lengths' => [2000]],
                ],
            ],
        ];
        yield 'B13 the row with nap asks more' => [
            'tight',
            '0 cm',
            ['direction' => 'one-way'],
            [
                'requirements' => [
                    ['role' => 'main', 'width' => 1150, 'nap' => 'with', 'lengths' => [2500]],
                    ['role' => 'main', 'width' => 1500, 'nap' => 'without', 'lengths' => [2000]],
                ],
            ],
        ];
        yield 'to buy, at an assumed width' => [
            'to buy',
            '2.00 m',
            [],
            $need(2000, 1400),
            ['claims' => [['role' => 'main', 'buy' => ['name' => 'Linen']]]],
        ];
    }

    /**
     * @param array<string, mixed> $cloth
     * @param array<string, mixed> $version
     * @param array<string, mixed> $project
     * @param array<string, mixed> $pattern
     *
     * @return array<string, mixed>
     */
    private static function document(array $cloth, array $version, array $project, array $pattern): array
    {
        $way = ['version' => 'v', 'size' => '14', 'claims' => [['role' => 'main', 'cut' => 'cut']]];

        return [
            'format' => 'octavum-workroom',
            'version' => 2,
            'name' => 'A case',
            'people' => [['id' => 'p', 'name' => 'Odalys']],
            'cloths' => [
                $cloth + [
                    'id' => 'c',
                    'name' => 'Case cloth',
                    'width' => 1500,
                    'fibres' => ['cotton' => 100],
                    'fibresKnown' => 'label',
                    'cuts' => [self::cut(2360)],
                ],
            ],
            'patterns' => [
                $pattern + [
                    'id' => 'pattern',
                    'title' => 'Case pattern',
                    'garment' => 'dress',
                    'minutes' => 60,
                    'versions' => [$version + ['id' => 'v', 'name' => 'A', 'sizes' => ['14'], 'requirements' => []]],
                ],
            ],
            'seasons' => [['id' => 's', 'name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => 13, 'minutesPerWeek' => 240]],
            'projects' => [
                $project + $way + [
                    'id' => 'x',
                    'name' => 'Case',
                    'season' => 's',
                    'rank' => 1,
                    'options' => [['id' => 'o'] + array_intersect_key($project + $way, self::WAY + $way)],
                ],
            ],
        ];
    }

    /**
     * Washed when it came.
     *
     * @param array{string, ?int} ...$then
     *
     * @return array<string, mixed>
     */
    private static function cut(int $length, array ...$then): array
    {
        return [
            'id' => 'cut',
            'ledger' => [
                self::entry('bought', null),
                self::entry('washed', $length),
                ...array_map(static fn (array $entry): array => self::entry($entry[0], $entry[1], '2026-06-01'), $then),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function entry(string $kind, ?int $length, string $on = '2026-01-01'): array
    {
        return ['on' => $on, 'kind' => $kind] + (null === $length ? [] : ['length' => $length]);
    }

    /** @param array<string, mixed> $document */
    private function importing(array $document): Account
    {
        return $this->filling($this->account(), $document);
    }

    /** @param array<string, mixed> $document */
    private function filling(Account $account, array $document): Account
    {
        $account = $this->service(AccountRepository::class)->find($account->id) ?? self::fail();
        $this->service(Workrooms::class)->replace($account, (new WorkroomReader())->read(json_encode($document, \JSON_THROW_ON_ERROR)));

        return $account;
    }
}
