<?php

declare(strict_types=1);

namespace Octavum\Tests\Document;

use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Document\Json\Refused;
use Octavum\Document\LayoutReader;
use Octavum\Document\LayoutWriter;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

final class LayoutTest extends TestCase
{
    private const REQUEST = [
        'format' => 'octavum-layout',
        'version' => 1,
        'seconds' => 0.2,
        'cuts' => [['id' => 'lawn', 'width' => 1350, 'length' => null]],
        'folds' => ['flat', 'lengthwise'],
        'pieces' => [
            ['id' => 'front', 'outline' => [[0, 0], [620, 0], [560, 190], [0, 290]], 'quantity' => 2, 'pair' => true],
            ['id' => 'back', 'outline' => [[0, 0], [640, 0], [600, 200], [0, 280]], 'onFold' => true],
        ],
    ];

    public function testARequestIsReadLaidAndWritten(): void
    {
        $request = (new LayoutReader())->read((string) json_encode(self::REQUEST));
        self::assertTrue($this->isValid(self::REQUEST));
        $looks = 0;
        $lay = (new LayMaker())->make($request, static function () use (&$looks): float {
            return 0.01 * ++$looks;
        });
        self::assertSame([], (new Judge())->faults($request, $lay));
        $result = json_decode((new LayoutWriter())->write($request, $lay, 0.2), true);
        self::assertIsArray($result);
        self::assertSame(
            [
                'format',
                'version',
                'status',
                'fold',
                'cuts',
                'placements',
                'unplaced',
                'utilisation',
                'bound',
                'leftovers',
                'folds',
                'seconds',
                'evaluated',
            ],
            array_keys($result),
        );
        self::assertSame(['octavum-layout-result', 'placed'], [$result['format'], $result['status']]);
        self::assertSame(['flat', 'lengthwise'], array_keys((array) $result['folds']));
    }

    public function testWhatIsLaidToAFigureOrAnEdgeIsReadTogetherWithWhatIsEased(): void
    {
        $asked = self::REQUEST;
        $asked['pieces'][0] += ['match' => ['length' => 320, 'width' => 270, 'x' => 300, 'at' => [130, 55]], 'eased' => true];
        $asked['pieces'][1] += ['edge' => 30];
        self::assertTrue($this->isValid($asked));
        [$front, $back] = (new LayoutReader())->read((string) json_encode($asked))->pieces;
        self::assertEquals([new Repeat(320, 270, 300, 0, [130, 55]), true, null], [$front->match, $front->eased, $front->edge]);
        self::assertSame([null, false, 30.0], [$back->match, $back->eased, $back->edge]);
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('broken')]
    public function testWhatCannotBeReadIsNamedWithFieldAndExpectation(
        array $change,
        string $pointer,
        string $sentence,
        bool $schemaSees = true,
    ): void {
        $request = array_replace_recursive(self::REQUEST, $change);
        try {
            (new LayoutReader())->read((string) json_encode($request));
            self::fail('Read.');
        } catch (Refused $refused) {
            self::assertSame($pointer, $refused->faults[0]->pointer);
            self::assertStringContainsString($sentence, (string) $refused->faults[0]->sentence);
        }
        if ($schemaSees) {
            self::assertFalse($this->isValid($request), 'the schema refuses it too');
        }
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string, 2: string, 3?: bool}> */
    public static function broken(): iterable
    {
        yield 'another format' => [['format' => 'x'], '/format', '“octavum-layout” is expected here, found “x”'];
        yield 'a later version' => [['version' => 2], '/version', '1 is expected here, found 2'];
        yield 'a width of nothing' => [['cuts' => [['width' => 0]]], '/cuts/0/width', 'A number from 1 to 10000 is expected here, found 0'];
        yield 'a width beyond all cloth' => [
            ['cuts' => [['width' => 500_000]]],
            '/cuts/0/width',
            'A number from 1 to 10000 is expected here, found 500000',
        ];
        yield 'more copies than can be laid' => [
            ['pieces' => [['quantity' => 2000], ['quantity' => 2000]]],
            '/pieces',
            '4000 copies together; 2000 can be laid',
            false,
        ];
        yield 'a width in words' => [['cuts' => [['width' => 'wide']]], '/cuts/0/width', 'A number is expected here, found “wide”'];
        yield 'a point of three numbers' => [
            ['pieces' => [['outline' => [[0, 0, 0]]]]],
            '/pieces/0/outline/0',
            'entries are more than the 2',
        ];
        yield 'an outline that crosses itself' => [
            ['pieces' => [['outline' => [[0, 0], [100, 100], [100, 0], [0, 60]]]]],
            '/pieces/0/outline',
            'does not cross itself',
            false,
        ];
        yield 'half a pair' => [['pieces' => [['quantity' => 3]]], '/pieces/0/quantity', 'A pair wants an even number', false];
        yield 'no copies' => [['pieces' => [['quantity' => 0]]], '/pieces/0/quantity', 'A whole number from 1'];
        yield 'a grain nobody knows' => [['pieces' => [['grain' => 'up']]], '/pieces/0/grain', 'choose one of along, across, either, bias'];
        yield 'a fold nobody knows' => [['folds' => ['origami']], '/folds/0', 'choose one of flat'];
        yield 'a cut that is not there' => [['pieces' => [['cut' => 'silk']]], '/pieces/0/cut', 'no cut “silk”', false];
        yield 'a fold piece without its edge' => [
            ['pieces' => [1 => ['outline' => [[0, 5], [640, 5], [600, 200], [0, 280]]]]],
            '/pieces/1/outline',
            'edge on y = 0',
            false,
        ];
        yield 'a fold piece on both sides' => [
            ['pieces' => [1 => ['outline' => [[0, 0], [640, 0], [600, 200], [700, 200], [700, -280], [0, -280]]]]],
            '/pieces/1/outline',
            'one side of y = 0',
            false,
        ];
        yield 'a figure at three numbers' => [
            ['pieces' => [['match' => ['length' => 300, 'at' => [1, 2, 3]]]]],
            '/pieces/0/match/at',
            'entries are more than the 2',
        ];
        yield 'an edge off the cloth' => [['pieces' => [['edge' => -1]]], '/pieces/0/edge', 'A number from 0 to 500000'];
        yield 'an unknown field' => [['speed' => 9], '/speed', 'There is no field “speed” here'];
        yield 'endless time' => [['seconds' => 1e9], '/seconds', 'A number from 0.01 to 600'];
    }

    public function testTheCommandAnswersByExitCode(): void
    {
        $run = static function (string $input): Process {
            $process = new Process([\PHP_BINARY, 'bin/console', 'octavum:layout'], \dirname(__DIR__, 2), input: $input);
            $process->run();

            return $process;
        };
        $placed = $run((string) json_encode(self::REQUEST));
        self::assertSame(0, $placed->getExitCode(), $placed->getErrorOutput());
        self::assertStringContainsString('"octavum-layout-result"', $placed->getOutput());
        $short = $run(
            (string) json_encode(
                [
                    'cuts' => [['id' => 'lawn', 'width' => 1350, 'length' => 700]],
                    'pieces' => [['quantity' => 20] + self::REQUEST['pieces'][0]],
                ] + self::REQUEST,
            ),
        );
        self::assertSame(1, $short->getExitCode());
        self::assertStringContainsString('"short"', $short->getOutput());
        $broken = $run('{"format": "octavum-layout", "version": 1, "cuts": [], "pieces": 7}');
        self::assertSame([2, ''], [$broken->getExitCode(), $broken->getOutput()]);
        self::assertCount(1, explode("\n", trim($broken->getErrorOutput())), 'one line');
        self::assertSame(2, $run('not json')->getExitCode());
    }

    private function isValid(mixed $document): bool
    {
        $validator = new Validator();
        $validator
            ->resolver()
            ?->registerFile(
                'https://octavum.invalid/octavum-layout.schema.json',
                __DIR__.'/../../docs/formats/octavum-layout.schema.json',
            );

        return $validator->validate(Helper::toJSON($document), 'https://octavum.invalid/octavum-layout.schema.json')->isValid();
    }
}
