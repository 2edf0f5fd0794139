<?php

declare(strict_types=1);

namespace Octavum\Tests\Document;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Decision;
use Octavum\Core\Project\Log\Again;
use Octavum\Core\Project\Log\Chosen;
use Octavum\Core\Project\Log\Fate;
use Octavum\Core\Project\Log\Fitted;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\Wear;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Purpose;
use Octavum\Document\Json\DocumentFault;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tools\LargeWorkroom;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WorkroomReaderTest extends TestCase
{
    private const DEMO = __DIR__.'/../../fixtures/demo-workroom.json';
    private const SCHEMA = __DIR__.'/../../docs/formats/octavum-workroom.schema.json';

    public function testTheDemoWorkroomHoldsWhatItShould(): void
    {
        $workroom = (new WorkroomReader())->read((string) file_get_contents(self::DEMO));
        self::assertGreaterThanOrEqual(40, \count($workroom->cloths));
        self::assertGreaterThanOrEqual(25, \count($workroom->patterns));
        self::assertSame(['Rime', 'Thaw', 'Haar'], array_map(static fn ($season): string => $season->name, $workroom->seasons));
        self::assertCount(23, $workroom->projects);
    }

    #[DataProvider('shown')]
    public function testTheDemoShowsWhatAWorkroomCanHold(string $field): void
    {
        self::assertStringContainsString($field, (string) file_get_contents(self::DEMO));
    }

    /** @return iterable<string, array{string}> */
    public static function shown(): iterable
    {
        $ofPlans = ['options', 'decisions', 'copies', 'parts', 'pieces', 'ease', 'soft', 'notBefore', 'lists'];
        $ofPeopleAndCloth = ['facts', 'likings', 'features', 'high bust', 'recovery', 'edges', 'backSeen', 'motif', 'origin'];
        $ofSewing = ['sewing', 'steps', 'stretches', 'states', 'finding', 'purpose', 'occasion', 'waits', 'used', 'asked', 'weeksOff'];
        foreach ([...$ofPlans, ...$ofPeopleAndCloth, ...$ofSewing] as $field) {
            yield $field => ['"'.$field.'":'];
        }
        foreach (['taken apart', 'steamed', 'dyed', 'washed', 'cut'] as $kind) {
            yield 'a cut that was '.$kind => ['"kind": "'.$kind.'"'];
        }
    }

    /** @param class-string<\BackedEnum> $enum */
    #[DataProvider('enums')]
    public function testTheSchemaHasEveryWordOfTheCore(string $enum): void
    {
        $schema = (array) json_decode((string) file_get_contents(self::SCHEMA), true);
        $words = array_column($enum::cases(), 'value');
        $lists = [];
        $look = static function (mixed $node) use (&$look, &$lists): void {
            foreach (\is_array($node) ? $node : [] as $key => $below) {
                'enum' === $key && \is_array($below) ? $lists[] = $below : $look($below);
            }
        };
        $look($schema);
        self::assertContains($words, $lists, $enum);
    }

    /** @return iterable<string, array{class-string<\BackedEnum>}> */
    public static function enums(): iterable
    {
        $plan = [ProjectState::class, Purpose::class, StepKind::class, NotionKind::class];
        $verdicts = [Fitted::class, Chosen::class, Again::class, Wear::class, Fate::class];
        $all = [LedgerKind::class, Feature::class, Garment::class, PartKind::class, Role::class, Liking::class, ...$plan, ...$verdicts];
        foreach ($all as $enum) {
            yield $enum => [$enum];
        }
    }

    public function testWhatIsWrittenIsReadBackTheSame(): void
    {
        $demo = (new WorkroomReader())->read((string) file_get_contents(self::DEMO));
        foreach ([$demo, (new LargeWorkroom(3))->make(40, 60, 30, 20)] as $workroom) {
            $written = (new WorkroomWriter())->write($workroom);
            $again = (new WorkroomReader())->read($written);
            self::assertSame($written, (new WorkroomWriter())->write($again));
            self::assertEquals($workroom->cloths, $again->cloths);
            self::assertEquals($workroom->patterns, $again->patterns);
        }
    }

    public function testTheSchemaAgrees(): void
    {
        self::assertTrue($this->isValid(json_decode((string) file_get_contents(self::DEMO), true)), 'the demo');
        self::assertTrue(
            $this->isValid(json_decode((new WorkroomWriter())->write((new LargeWorkroom(4))->make(20, 30, 10, 8)), true)),
            'a generated one',
        );
    }

    /** @param \Closure(array<mixed>): array<mixed> $spoil */
    #[DataProvider('spoilt')]
    public function testEveryFaultIsNamedWithItsPlaceAndASentence(
        \Closure $spoil,
        string $pointer,
        string $sentence,
        bool $schemaSees = true,
    ): void {
        $document = $spoil(self::small());
        $faults = $this->faults((string) json_encode($document));
        self::assertSame(
            $pointer,
            $faults[0]->pointer,
            implode("\n", array_map(static fn (DocumentFault $fault): string => $fault->pointer.' '.$fault->sentence, $faults)),
        );
        self::assertLessThanOrEqual(2, \count($faults), 'one fault, and at most what follows from it');
        self::assertStringContainsString($sentence, (string) $faults[0]->sentence);
        if ($schemaSees) {
            self::assertFalse($this->isValid($document), 'the schema refuses it too');
        }
    }

    /** @return iterable<string, array{0: \Closure(array<mixed>): array<mixed>, 1: string, 2: string, 3?: bool}> */
    public static function spoilt(): iterable
    {
        $set = static fn (string $path, mixed $value): \Closure => static fn (array $document): array => self::with(
            $document,
            explode('/', $path),
            $value,
        );
        yield 'another format' => [$set('format', 'something-else'), '/format', 'not an octavum-workroom document'];
        yield 'a later version' => [$set('version', 4), '/version', 'Version 4 of the format cannot be read here'];
        yield 'a name missing' => [$set('cloths/0/name', ''), '/cloths/0/name', 'A name is missing'];
        yield 'a negative length' => [$set('cloths/0/cuts/0/ledger/0/length', -5), '/cloths/0/cuts/0/ledger/0/length', 'must be above 0'];
        yield 'forty kilometres' => [
            $set('cloths/0/cuts/0/ledger/0/length', 40_000_000),
            '/cloths/0/cuts/0/ledger/0/length',
            'at most 500 m',
        ];
        yield 'a length as text' => [$set('cloths/0/width', '140 cm'), '/cloths/0/width', 'number of millimetres, found “140 cm”'];
        yield 'fibres of 120 %' => [$set('cloths/0/fibres', ['cotton' => 80, 'linen' => 40]), '/cloths/0/fibres', 'add up to 120 %', false];
        yield 'a fibre nobody knows' => [$set('cloths/0/fibres', ['moonbeam' => 100]), '/cloths/0/fibres', '“moonbeam” is not a fibre'];
        yield 'a fibre by number' => [$set('cloths/0/fibres', ['cotton' => 50, '7' => 50]), '/cloths/0/fibres', '“7” is not a fibre'];
        yield 'a structure nobody knows' => [
            $set('cloths/0/structure', 'woollen'),
            '/cloths/0/structure',
            'choose one of woven, knit, non-woven',
        ];
        yield 'selvages too wide' => [$set('cloths/0/selvage', 800), '/cloths/0/width', 'leave nothing', false];
        yield 'a selvage of nothing' => [
            static function (array $document): array {
                $document['cloths'] = [['id' => 'c', 'name' => 'Lawn', 'selvage' => 20, 'cuts' => [['id' => 'cut', 'ledger' => []]]]];

                return $document;
            },
            '/cloths/0/selvage',
            'give the width too',
        ];
        yield 'a colour that is none' => [$set('cloths/0/colours', ['red']), '/cloths/0/colours/0', 'written such as #27405e'];
        yield 'an unknown field' => [$set('cloths/0/tint', 'blue'), '/cloths/0/tint', 'There is no field “tint” here'];
        yield 'a day that is none' => [$set('seasons/0/starts', '2027-02-30'), '/seasons/0/starts', 'A day such as 2027-03-01', false];
        yield 'no hours' => [$set('seasons/0/minutesPerWeek', 'many'), '/seasons/0/minutesPerWeek', 'found “many”'];
        yield 'a cell "lots"' => [
            $set('patterns/0/versions/0/requirements/0/lengths/0', 'lots'),
            '/patterns/0/versions/0/requirements/0/lengths/0',
            'found “lots”',
        ];
        yield 'a cell too few' => [
            $set('patterns/0/versions/0/requirements/0/lengths', [1000]),
            '/patterns/0/versions/0/requirements/0/lengths',
            '1 lengths for 2 sizes',
            false,
        ];
        yield 'a size twice' => [$set('patterns/0/versions/0/sizes', ['14', '14']), '/patterns/0/versions/0/sizes', 'only once'];
        yield 'a cut that is not there' => [
            $set('projects/0/options/0/claims/0/cut', 'nowhere'),
            '/projects/0/options/0/claims/0/cut',
            'no cut with the id “nowhere”',
            false,
        ];
        yield 'a season that is not there' => [
            $set('projects/0/season', 'nowhen'),
            '/projects/0/season',
            'no season with the id “nowhen”',
            false,
        ];
        yield 'an id twice' => [$set('cloths/1', ['id' => 'c', 'name' => 'Again']), '/cloths/1/id', 'more than once', false];
        yield 'a cut twice' => [$set('cloths/0/cuts/1', ['id' => 'cut', 'ledger' => []]), '/cloths/0/cuts/1/id', 'more than once', false];
        yield 'a list where an object belongs' => [$set('settings', [1, 2]), '/settings', 'An object is expected here, found a list'];
        yield 'an object where a list belongs' => [$set('cloths', ['a' => 1]), '/cloths', 'A list is expected here'];
        yield 'a point of no body' => [
            $set('people/0/measured', [['on' => '2026-01-01', 'points' => ['elbow' => 300]]]),
            '/people/0/measured/0/points/elbow',
            'There is no field “elbow” here',
        ];
        yield 'a bust of nothing' => [
            $set('people/0/measured', [['on' => '2026-01-01', 'points' => ['bust' => 0]]]),
            '/people/0/measured/0/points/bust',
            'must be above 0',
        ];
        yield 'measured on no day' => [
            $set('people/0/measured', [['on' => 'spring', 'points' => ['bust' => 900]]]),
            '/people/0/measured/0/on',
            'A day such as',
            false,
        ];
        yield 'a chart with a cell too few' => [
            $set('patterns/0/chart', ['sizes' => ['8', '10'], 'body' => ['bust' => [800]]]),
            '/patterns/0/chart/body/bust',
            '1 lengths for 2 sizes',
            false,
        ];
        yield 'a chart that runs sideways' => [
            $set('patterns/0/chart', ['sizes' => ['8'], 'body' => ['bust' => [800]], 'runs' => 'sideways']),
            '/patterns/0/chart/runs',
            'choose one of true to its chart, large, small',
        ];
        yield 'a technique nobody knows' => [
            $set('patterns/0/techniques', ['origami']),
            '/patterns/0/techniques/0',
            '“origami” is not possible here',
        ];
        yield 'an alteration for nobody' => [
            $set('patterns/0/alterations', [['person' => 'nobody', 'name' => 'Longer']]),
            '/patterns/0/alterations/0/person',
            'no person with the id “nobody”',
            false,
        ];
        yield 'a stretch beyond belief' => [$set('patterns/0/cloth', ['stretch' => 900]), '/patterns/0/cloth/stretch', '300'];
        yield 'a notion of no kind' => [
            $set('notions', [['id' => 'n', 'kind' => 'feather']]),
            '/notions/0/kind',
            '“feather” is not possible here',
        ];
        yield 'minus four buttons' => [$set('notions', [['id' => 'n', 'kind' => 'button', 'count' => -4]]), '/notions/0/count', '10000'];
        yield 'a notion twice' => [
            $set('notions', [['id' => 'n', 'kind' => 'button'], ['id' => 'n', 'kind' => 'zip']]),
            '/notions/1/id',
            'more than once',
            false,
        ];
        yield 'a test of taste' => [
            $set('cloths/0/tests', [['on' => '2026-01-01', 'kind' => 'taste']]),
            '/cloths/0/tests/0/kind',
            '“taste” is not possible here',
        ];
        yield 'a family nobody knows' => [$set('cloths/0/family', 'mineral'), '/cloths/0/family', '“mineral” is not possible here'];
        yield 'a dialect nobody speaks' => [
            $set('settings', ['dialect' => 'Martian']),
            '/settings/dialect',
            'choose one of British, American',
        ];
        yield 'an option of a version that is not there' => [
            $set('projects/0/options/1', ['id' => 'o', 'version' => 'nowhere']),
            '/projects/0/options/1/version',
            'There is no version',
            false,
        ];
        yield 'an option that is ranked' => [
            $set('projects/0/options/1', ['id' => 'o', 'rank' => 1]),
            '/projects/0/options/1/rank',
            'There is no field',
        ];
        yield 'an option twice' => [$set('projects/0/options/1', ['id' => 'now']), '/projects/0/options/1/id', 'more than once', false];
        yield 'a current option that is not there' => [
            $set('projects/0/current', 'then'),
            '/projects/0/current',
            'no option with the id “then”',
            false,
        ];
        yield 'a decision without a day' => [$set('projects/0/decisions', [['took' => 'A']]), '/projects/0/decisions/0/on', 'is missing'];
        yield 'a pointer is escaped' => [$set('people/0/a~b', 1), '/people/0/a~0b', 'There is no field'];
    }

    public function testADocumentOfVersion1IsReadAsOneOfVersion2WithoutOptions(): void
    {
        /** @var array{version: int, projects: list<array<string, mixed>>} $document */
        $document = json_decode((string) file_get_contents(self::DEMO), true);
        $document['version'] = 2;
        foreach ($document['projects'] as $i => $project) {
            unset($project['options'], $project['current'], $project['decisions']);
            $made = ['version' => 'version-01', 'size' => '14', 'claims' => [['role' => 'main', 'cut' => 'cut-02']]];
            $document['projects'][$i] = $project + $made;
        }
        $second = (new WorkroomReader())->read((string) json_encode($document));
        $document['version'] = 1;
        $first = (new WorkroomReader())->read((string) json_encode($document));
        self::assertEquals($second, $first);
        self::assertSame(['14', 'cut-02'], [$first->projects[0]->current->size, $first->projects[0]->current->claims[0]->cut?->id]);
        self::assertSame([], array_merge(...array_map(static fn (Project $project): array => $project->others, $first->projects)));
    }

    public function testOptionsAndDecisionsOfVersion2AreRead(): void
    {
        $document = self::small();
        $document['version'] = 2;
        $document['projects'] = [['id' => 'j', 'name' => 'Skirt', 'season' => 's', 'rank' => 1]];
        $project = [
            'version' => 'v',
            'size' => '14',
            'when' => 'the toile fits',
            'options' => [
                [
                    'id' => 'o',
                    'version' => 'v',
                    'size' => '16',
                    'minutes' => 90,
                    'claims' => [['role' => 'main', 'cut' => 'cut', 'length' => 800]],
                ],
                ['id' => 'p', 'size' => '14', 'past' => true],
            ],
            'decisions' => [['on' => '2027-02-01', 'took' => 'A, size 14', 'instead' => 'A, size 16', 'reason' => 'It is big.']],
        ];
        foreach ($project as $field => $value) {
            $document = self::with($document, ['projects', '0', $field], $value);
        }
        $read = (new WorkroomReader())->read((string) json_encode($document))->projects[0];
        self::assertSame('the toile fits', $read->current->when);
        [$open] = $read->openOptions();
        self::assertSame(['o', '16', 90, 'A'], [$open->id, $open->size, $open->minutes, $open->version?->name]);
        self::assertSame([800.0, 'cut'], [(float) $open->claims[0]->stated?->millimetres(), $open->claims[0]->cut?->id]);
        self::assertSame(['p'], array_map(static fn (Option $option): string => $option->id, $read->pastOptions()));
        self::assertEquals(
            [new Decision(new \DateTimeImmutable('2027-02-01'), 'A, size 14', 'A, size 16', 'It is big.')],
            $read->log->decisions,
        );
        self::assertSame('14', $read->current->size, 'the current option is as it was');
        $workroom = (new WorkroomReader())->read((string) json_encode($document));
        $written = (new WorkroomReader())->read((new WorkroomWriter())->write($workroom));
        self::assertEquals($read->current, $written->projects[0]->current, 'and the same when it was written as version 3');
        self::assertEquals($read->others, $written->projects[0]->others);
    }

    public function testALayWithoutPiecesIsRead(): void
    {
        /** @var array{lays: list<array<string, mixed>>} $document */
        $document = json_decode((string) file_get_contents(self::DEMO), true);
        $document['lays'][0]['pieces'] = [];
        self::assertSame(0.0, (new WorkroomReader())->read((string) json_encode($document))->lays[0]->end(0));
    }

    public function testSeveralFaultsAreAllReported(): void
    {
        $document = self::small();
        $document['name'] = 7;
        $document['people'] = [['id' => 'p'], ['id' => 'q', 'name' => 'Suvi', 'child' => 'yes']];
        $pointers = array_map(static fn (DocumentFault $fault): string => $fault->pointer, $this->faults((string) json_encode($document)));
        self::assertSame(['/people/0/name', '/people/1/child', '/name', '/name'], $pointers);
    }

    public function testATruncatedDocumentAndOneTooLargeAreRefusedUnread(): void
    {
        $demo = (string) file_get_contents(self::DEMO);
        self::assertStringContainsString('not a whole JSON document', (string) $this->faults(substr($demo, 0, 9000))[0]->sentence);
        self::assertStringContainsString('larger than 20 MB', (string) $this->faults(str_repeat(' ', 30_000_000))[0]->sentence);
        foreach (['[]', '"x"', 'null', '{}'] as $other) {
            self::assertStringContainsString('not an octavum-workroom document', (string) $this->faults($other)[0]->sentence, $other);
        }
    }

    /** @return non-empty-list<DocumentFault> */
    private function faults(string $json): array
    {
        try {
            (new WorkroomReader())->read($json);
        } catch (Refused $refused) {
            return $refused->faults;
        }
        self::fail('The document was not refused.');
    }

    private function isValid(mixed $document): bool
    {
        $validator = new Validator();
        $validator->resolver()?->registerFile('https://octavum.invalid/octavum-workroom.schema.json', self::SCHEMA);

        return $validator->validate(Helper::toJSON($document), 'https://octavum.invalid/octavum-workroom.schema.json')->isValid();
    }

    /**
     * @param array<mixed>           $document
     * @param non-empty-list<string> $path
     *
     * @return array<mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $key = array_shift($path);
        $document[$key] = [] === $path ? $value : self::with((array) ($document[$key] ?? []), $path, $value);

        return $document;
    }

    /** @return array<mixed> */
    private static function small(): array
    {
        return [
            'format' => 'octavum-workroom',
            'version' => 3,
            'name' => 'Maud',
            'settings' => ['units' => 'metric'],
            'people' => [['id' => 'p', 'name' => 'Maud']],
            'cloths' => [
                [
                    'id' => 'c',
                    'name' => 'Lawn',
                    'width' => 1400,
                    'cuts' => [['id' => 'cut', 'ledger' => [['on' => '2027-01-01', 'kind' => 'bought', 'length' => 2000]]]],
                ],
            ],
            'patterns' => [
                [
                    'id' => 'k',
                    'title' => 'Skirt',
                    'versions' => [
                        [
                            'id' => 'v',
                            'name' => 'A',
                            'sizes' => ['14', '16'],
                            'requirements' => [['role' => 'main', 'width' => 1400, 'nap' => 'either', 'lengths' => [1000, null]]],
                        ],
                    ],
                ],
            ],
            'seasons' => [['id' => 's', 'name' => 'Thaw', 'starts' => '2027-03-01', 'weeks' => 13, 'minutesPerWeek' => 240]],
            'projects' => [
                [
                    'id' => 'j',
                    'name' => 'Skirt',
                    'season' => 's',
                    'rank' => 1,
                    'person' => 'p',
                    'current' => 'now',
                    'options' => [['id' => 'now', 'version' => 'v', 'size' => '14', 'claims' => [['role' => 'main', 'cut' => 'cut']]]],
                ],
            ],
        ];
    }

    #[DataProvider('tooMany')]
    public function testWhatAPageCannotTakeInIsRefusedBeforeWorkBegins(string $json): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        try {
            (new WorkroomReader())->read($json, bounded: true);
            self::fail('It holds too much.');
        } catch (Refused $refused) {
            self::assertStringContainsString('more than a page can take in at once', $refused->faults[0]->sentence->message);
        }
        self::assertLessThan(200_000_000, memory_get_peak_usage() - $before);
    }

    /** @return iterable<string, array{string}> */
    public static function tooMany(): iterable
    {
        yield 'objects that would fill the memory' => [
            '{"format":"octavum-workroom","version":1,"name":"N","cloths":['.substr(str_repeat('{"a":1},', 2_000_000), 0, -1).']}',
        ];
        yield 'lists that would' => [str_repeat('[],', 1_000_000)];
        $cloths = array_map(
            static fn (int $i): array => ['id' => 'c'.$i, 'name' => 'Lawn', 'cuts' => [['id' => 'k'.$i, 'ledger' => []]]],
            range(1, 4001),
        );
        yield 'more cloths and cuts than 8000' => [
            (string) json_encode(['format' => 'octavum-workroom', 'version' => 1, 'name' => 'N', 'cloths' => $cloths]),
        ];
    }
}
