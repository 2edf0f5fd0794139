<?php

declare(strict_types=1);

namespace Octavum\Tests\Document\Codec;

use Octavum\Core\Laid\Figures;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\PiecePlacement;
use Octavum\Core\Laid\PrintPlacement;
use Octavum\Core\Measure\Length;
use Octavum\Document\Codec\LayRulesCodec;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LayRulesCodecTest extends TestCase
{
    public function testWhatIsWrittenIsReadAgain(): void
    {
        $mm = Length::ofMillimetres(...);
        $figures = new Figures($mm(0), $mm(80), $mm(320), $mm(280), $mm(180), [
            '0/Front' => new PiecePlacement(PrintPlacement::Middle),
            '0/Back' => new PiecePlacement(PrintPlacement::Clear, $mm(250), $mm(190.5)),
        ]);
        $rules = new LayRules(false, 4, $mm(10), false, ['0/Cuff'], ['0/Facing'], true, ['0/Band'], $mm(30), $figures, 'nobody sees it');
        $written = (new LayRulesCodec())->write($rules);
        self::assertSame([], array_diff(array_keys($written), LayRulesCodec::FIELDS));
        [$read, $faults] = $this->read(json_decode((string) json_encode($written), true));
        self::assertEquals([$rules, []], [$read, $faults]);
        self::assertEquals([new LayRules(), []], $this->read(['oneWay' => false]));
    }

    /** @param array<string, mixed> $asked */
    #[DataProvider('broken')]
    public function testWhatCannotBeIsNamed(array $asked, string $pointer, string $sentence): void
    {
        [, $faults] = $this->read($asked);
        self::assertSame([$pointer => $sentence], $faults);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function broken(): iterable
    {
        $figures = ['x' => 0, 'y' => 0, 'along' => 320, 'across' => 280, 'size' => 180];
        yield 'a gap as wide as a piece' => [['gap' => 101], '/gap', 'A number from 0 to 100 is expected here, found 101.'];
        yield 'an edge far off' => [['edge' => 6000], '/edge', 'A distance of 6000 mm cannot be: it is at most 5 m.'];
        yield 'a figure before the end' => [
            ['figures' => ['x' => -1] + $figures],
            '/figures/x',
            'A distance of -1 mm cannot be: it is at most 5 m.',
        ];
        yield 'no repeat across' => [
            ['figures' => ['across' => null] + $figures],
            '/figures/across',
            'A length in millimetres is missing here.',
        ];
        yield 'a seat nobody knows' => [
            ['figures' => $figures + ['pieces' => [['piece' => '0/Front', 'seat' => 'beside']]]],
            '/figures/pieces/0/seat',
            '“beside” is not possible here; choose one of middle, clear, whole.',
        ];
    }

    /** @return array{LayRules, array<string, string>} with what was wrong, by its place */
    private function read(mixed $asked): array
    {
        $faults = new Faults();
        $rules = (new LayRulesCodec())->read(new Node($asked, $faults));
        $said = [];
        foreach ($faults->all() as $fault) {
            $said[$fault->pointer] = (string) $fault->sentence;
        }

        return [$rules, $said];
    }
}
