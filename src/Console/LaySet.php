<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Core\Lay\Grain;
use Octavum\Core\Lay\Piece;
use Octavum\Core\Lay\Request;
use Octavum\Core\Lay\Sheet;
use Octavum\Core\Shape\Outline;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Lays to measure with: rectangles sawn from a known cloth, so that the best length is known, and garments in several sizes. */
final readonly class LaySet
{
    private const SAWN_LENGTH = 2000.0;

    /** @return iterable<string, array{Request, ?float}> name → request and the best length where it is known */
    public function all(float $seconds): iterable
    {
        foreach (range(16, 29) as $count) {
            yield 'sawn '.$count => [$this->sawn($count, $count, $seconds), self::SAWN_LENGTH];
        }
        foreach ($this->headToTail($seconds) as $name => $case) {
            yield $name => $case;
        }
        foreach (['shirt', 'trousers', 'circle skirt', 'T-shirt', 'coat', 'child’s dress', 'mixed'] as $name) {
            foreach ([0.9, 1.0, 1.08, 1.15] as $grade) {
                yield $name.' × '.$grade => [$this->garment($name, $grade, $seconds), null];
            }
        }
    }

    /** @return iterable<string, array{Request, ?float}> flared panels that lie head to tail, and pieces of 200 corners */
    private function headToTail(float $seconds): iterable
    {
        $request = static fn (Outline $outline, int $quantity, float $width): Request => new Request(
            [new Sheet('cloth', $width, null)],
            [new Piece('panel', $outline, $quantity)],
            seconds: $seconds,
        );
        $flared = Outline::of([[0.0, 100.0], [700.0, 0.0], [700.0, 350.0], [0.0, 250.0]]);
        yield 'head to tail, 4' => [$request($flared, 4, 1150), 700.0];
        yield 'head to tail, 6' => [$request($flared, 6, 1700), 700.0];
        yield 'head to tail, 2' => [$request(Outline::of([[0.0, 0.0], [1000.0, 0.0], [1000.0, 600.0], [0.0, 400.0]]), 2, 1008), 1000.0];
        $wavy = array_map(static function (int $i): array {
            $radius = 200 + 40 * sin((7 * $i * \M_PI) / 100);

            return [$radius * cos(($i * \M_PI) / 100), $radius * sin(($i * \M_PI) / 100)];
        }, range(0, 199));
        yield '200 corners × 4' => [$request(Outline::of($wavy), 4, 1380), null];
    }

    /** Rectangles sawn from 2 m of cloth 1.4 m wide, none to be turned across. */
    public function sawn(int $count, int $seed, float $seconds): Request
    {
        $random = new Randomizer(new Mt19937($seed));
        $boards = [[self::SAWN_LENGTH, 1400.0]];
        while (\count($boards) < $count) {
            usort($boards, static fn (array $a, array $b): int => $b[0] * $b[1] <=> $a[0] * $a[1]);
            $i = $random->getInt(0, min(3, \count($boards) - 1));
            [$length, $width] = $boards[$i];
            $side = $width < 160 || ($length >= 160 && 0 === $random->getInt(0, 1)) ? 0 : 1;
            if ($boards[$i][$side] < 160) {
                continue;
            }
            $at = (float) $random->getInt(80, (int) $boards[$i][$side] - 80);
            $parts = 0 === $side ? [[$at, $width], [$length - $at, $width]] : [[$length, $at], [$length, $width - $at]];
            array_splice($boards, $i, 1, $parts);
        }
        $pieces = array_map(
            static fn (int $i): Piece => new Piece('board '.($i + 1), Outline::rectangle($boards[$i][0], $boards[$i][1])),
            array_keys($boards),
        );

        return new Request([new Sheet('cloth', 1400, null)], $pieces, seconds: $seconds, seed: $seed);
    }

    public function garment(string $name, float $grade, float $seconds, float $width = 1380): Request
    {
        $piece = static fn (
            string $id,
            array $points,
            int $quantity = 1,
            bool $pair = false,
            bool $onFold = false,
            Grain $grain = Grain::Along,
        ): Piece => new Piece($id, self::graded($points, $grade), $quantity, $pair, $onFold, $grain);
        $box = static fn (float $length, float $wide): array => [[0.0, 0.0], [$length, 0.0], [$length, $wide], [0.0, $wide]];
        $front = [[0.0, 0.0], [620.0, 0.0], [690.0, 90.0], [720.0, 170.0], [660.0, 200.0], [560.0, 190.0], [480.0, 260.0], [0.0, 290.0]];
        $back = [[0.0, 0.0], [700.0, 0.0], [720.0, 80.0], [690.0, 200.0], [560.0, 200.0], [480.0, 260.0], [0.0, 280.0]];
        $sleeve = [
            [0.0, 60.0],
            [450.0, 0.0],
            [520.0, 80.0],
            [590.0, 190.0],
            [600.0, 230.0],
            [590.0, 270.0],
            [520.0, 380.0],
            [450.0, 460.0],
            [0.0, 400.0],
        ];
        $leg = static fn (float $rise): array => [
            [0.0, 60.0],
            [700.0, 20.0],
            [760.0, 0.0],
            [1040.0, 90.0],
            [1050.0, 250.0],
            [1000.0, $rise],
            [740.0, $rise - 20],
            [0.0, 290.0],
        ];
        $sets = [
            'shirt' => [
                $piece('front', $front, 2, true),
                $piece('back', $back, 1, false, true),
                $piece('yoke', $box(140, 440), 2),
                $piece('sleeve', $sleeve, 2, true),
                $piece('collar', $box(420, 90), 2),
                $piece('stand', $box(420, 50), 2),
                $piece('cuff', $box(240, 130), 2),
                $piece('pocket', [[0.0, 0.0], [130.0, 0.0], [160.0, 65.0], [130.0, 130.0], [0.0, 130.0]]),
            ],
            'trousers' => [
                $piece('front', $leg(330), 2, true),
                $piece('back', $leg(390), 2, true),
                $piece('waistband', $box(860, 90)),
                $piece('pocket', $box(300, 170), 4, true),
                $piece('fly', $box(220, 60), 2),
            ],
            'circle skirt' => [
                $piece(
                    'half circle',
                    array_map(static fn (int $i): array => [620 * cos(($i * \M_PI) / 24), 620 * sin(($i * \M_PI) / 24)], range(0, 24)),
                    2,
                    false,
                    false,
                    Grain::Either,
                ),
                $piece('waistband', $box(740, 80)),
            ],
            'T-shirt' => [
                $piece(
                    'front',
                    [[0.0, 0.0], [560.0, 0.0], [610.0, 80.0], [660.0, 110.0], [630.0, 210.0], [470.0, 210.0], [420.0, 250.0], [0.0, 260.0]],
                    1,
                    false,
                    true,
                ),
                $piece(
                    'back',
                    [[0.0, 0.0], [630.0, 0.0], [660.0, 100.0], [630.0, 210.0], [470.0, 210.0], [420.0, 250.0], [0.0, 260.0]],
                    1,
                    false,
                    true,
                ),
                $piece(
                    'sleeve',
                    [[0.0, 20.0], [120.0, 0.0], [210.0, 110.0], [240.0, 200.0], [210.0, 290.0], [120.0, 400.0], [0.0, 380.0]],
                    2,
                    true,
                ),
                $piece('neckband', $box(40, 480), 1, false, false, Grain::Either),
            ],
            'coat' => [
                $piece(
                    'front',
                    [[0.0, 0.0], [1000.0, 0.0], [1080.0, 150.0], [1070.0, 260.0], [860.0, 270.0], [790.0, 340.0], [0.0, 420.0]],
                    2,
                    true,
                ),
                $piece(
                    'back',
                    [[0.0, 0.0], [1060.0, 0.0], [1080.0, 100.0], [1050.0, 240.0], [860.0, 240.0], [790.0, 300.0], [0.0, 380.0]],
                    2,
                    true,
                ),
                $piece('sleeve', array_map(static fn (array $p): array => [$p[0] * 1.1, $p[1] * 0.95], $sleeve), 2, true),
                $piece('facing', $box(1050, 140), 2, true),
                $piece('collar', $box(480, 120), 2),
                $piece('pocket', $box(220, 190), 2, true),
            ],
            'child’s dress' => [
                $piece(
                    'front bodice',
                    [[0.0, 0.0], [180.0, 0.0], [220.0, 60.0], [230.0, 110.0], [150.0, 130.0], [110.0, 160.0], [0.0, 160.0]],
                    1,
                    false,
                    true,
                ),
                $piece(
                    'back bodice',
                    [[0.0, 0.0], [210.0, 0.0], [230.0, 70.0], [220.0, 110.0], [150.0, 130.0], [110.0, 170.0], [0.0, 170.0]],
                    2,
                    true,
                ),
                $piece('skirt', $box(360, 620), 2),
                $piece('sleeve', array_map(static fn (array $p): array => [$p[0] * 0.35, $p[1] * 0.55], $sleeve), 2, true),
                $piece('binding', $box(400, 40), 2, false, false, Grain::Bias),
            ],
        ];
        $sets['mixed'] = [
            ...\array_slice($sets['trousers'], 0, 3),
            ...array_map(
                static fn (Piece $p): Piece => new Piece('child '.$p->id, $p->outline, $p->quantity, $p->pair, $p->onFold, $p->grain),
                $sets['child’s dress'],
            ),
        ];

        return new Request(
            [new Sheet('cloth', $width, null)],
            $sets[$name] ?? throw new \InvalidArgumentException('There is no set '.$name),
            seconds: $seconds,
        );
    }

    /** @param array<mixed> $points */
    private static function graded(array $points, float $grade): Outline
    {
        return Outline::of(
            array_values(
                array_map(
                    static fn (mixed $p): array => \is_array($p) && is_numeric($p[0]) && is_numeric($p[1])
                        ? [$p[0] * $grade, $p[1] * $grade]
                        : throw new \TypeError('A point is two numbers.'),
                    $points,
                ),
            ),
        );
    }

    /** What a plain shelf lay of the bounding boxes would use: boxes side by side across the cloth, row after row, the longest first. */
    public function shelf(Request $request): float
    {
        $boxes = [];
        foreach ($request->pieces as $piece) {
            $outline = $piece->flat()->turned($piece->grain->turns(true)[0]);
            for ($i = 0; $i < $piece->quantity; ++$i) {
                $boxes[] = [$outline->length(), $outline->width()];
            }
        }
        rsort($boxes);
        $shelves = [];
        foreach ($boxes as [$length, $wide]) {
            foreach ($shelves as $i => [, $taken]) {
                if ($taken + $wide <= $request->sheets[0]->width) {
                    $shelves[$i][1] += $wide;
                    continue 2;
                }
            }
            $shelves[] = [$length, $wide];
        }

        return array_sum(array_column($shelves, 0));
    }
}
