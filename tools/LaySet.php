<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Shape\Outline;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Lays to measure with: rectangles and irregular pieces sawn from a known cloth, so that the best length is known, and garments. */
final readonly class LaySet
{
    private const SAWN_LENGTH = 2000.0;

    /** @return iterable<string, array{LayRequest, ?float}> name → request and the best length where it is known */
    public function all(float $seconds): iterable
    {
        foreach (range(16, 29) as $count) {
            yield 'sawn '.$count => [$this->sawn($count, $count, $seconds), self::SAWN_LENGTH];
        }
        foreach (['irregular ' => null, 'rounded ' => 1.0] as $kind => $step) {
            foreach ([12, 14, 16, 18, 20, 22, 24, 26, 28, 15, 19, 25] as $seed => $count) {
                yield $kind.$count => [$this->irregular($count, $seed, $seconds, 1 === $seed % 2, $step), self::SAWN_LENGTH];
            }
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

    /** @return iterable<string, array{LayRequest, LayRequest}> garments matched to a repeat: its place free, and held at the cut end */
    public function matched(float $seconds): iterable
    {
        foreach (['shirt', 'trousers', 'T-shirt', 'coat'] as $name) {
            foreach ([64.0, 230.0, 420.0] as $repeat) {
                $request = $this->garment($name, 1.0, $seconds);
                yield $name.', repeat '.$repeat => [
                    $this->onRepeat($request, $repeat, null),
                    $this->onRepeat($request, $repeat, [0.0, 0.0]),
                ];
            }
        }
    }

    /** @param ?array{float, float} $at where the lower ends of all pieces must lie, or whole repeats from there */
    private function onRepeat(LayRequest $request, float $repeat, ?array $at): LayRequest
    {
        $pieces = array_map(
            static fn (LayPiece $piece): LayPiece => new LayPiece(
                $piece->id,
                $piece->outline,
                $piece->quantity,
                pair: $piece->pair,
                onFold: $piece->onFold,
                grain: $piece->grain,
                match: new Repeat($repeat, 0, $piece->outline->right, 0, $at),
            ),
            $request->pieces,
        );

        return new LayRequest($request->sheets, $pieces, oneWay: true, seconds: $request->seconds);
    }

    /** @return iterable<string, array{LayRequest, ?float}> flared panels that lie head to tail, and pieces of 200 corners */
    private function headToTail(float $seconds): iterable
    {
        $request = static fn (Outline $outline, int $quantity, float $width): LayRequest => new LayRequest(
            [new Sheet('cloth', $width, null)],
            [new LayPiece('panel', $outline, $quantity)],
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

    /**
     * Pieces sawn from 2 m of cloth 1.4 m wide by slanted cuts from side to side, one after another through the largest piece; with
     * bends they are not convex. The best length is that of the cloth. Sewn together again they lie as they were.
     *
     * @param bool   $bent each cut has a corner in its middle
     * @param ?float $step to which each corner is rounded, mm, so that they fit only nearly
     */
    public function irregular(int $count, int $seed, float $seconds, bool $bent, ?float $step = null): LayRequest
    {
        $random = new Randomizer(new Mt19937(1000 + $seed));
        $boards = [[[0.0, 0.0], [self::SAWN_LENGTH, 0.0], [self::SAWN_LENGTH, 1400.0], [0.0, 1400.0]]];
        while (\count($boards) < $count) {
            usort($boards, static fn (array $a, array $b): int => Outline::of($b)->area() <=> Outline::of($a)->area());
            $i = $random->getInt(0, min(2, \count($boards) - 1));
            $halves = $this->sawnApart($boards[$i], $random, $bent, $count);
            if (null !== $halves) {
                array_splice($boards, $i, 1, $halves);
            }
        }
        $pieces = [];
        foreach ($boards as $i => $board) {
            $outline = Outline::of($board)->atOrigin();
            $pieces[] = new LayPiece('board '.($i + 1), null === $step ? $outline : self::rounded($outline, $step));
        }

        return new LayRequest([new Sheet('cloth', 1400, null)], $pieces, seconds: $seconds, seed: $seed);
    }

    private static function rounded(Outline $outline, float $step): Outline
    {
        return Outline::of(
            array_map(static fn (array $p): array => [round($p[0] / $step) * $step, round($p[1] / $step) * $step], $outline->points),
        )->atOrigin();
    }

    /**
     * @param list<array{float, float}> $board
     *
     * @return ?array{list<array{float, float}>, list<array{float, float}>} null when a half is too small, or the cut leaves the board
     */
    private function sawnApart(array $board, Randomizer $random, bool $bent, int $pieces): ?array
    {
        $count = \count($board);
        $sides = array_map(
            static fn (int $i): float => hypot($board[($i + 1) % $count][0] - $board[$i][0], $board[($i + 1) % $count][1] - $board[$i][1]),
            range(0, $count - 1),
        );
        arsort($sides);
        $from = array_key_first($sides);
        $to = ($from + 1 + $random->getInt(1, max(1, $count - 2))) % $count;
        if ($to === $from) {
            return null;
        }
        $on = static fn (int $i, float $share): array => [
            round($board[$i][0] + $share * ($board[($i + 1) % $count][0] - $board[$i][0]), 3),
            round($board[$i][1] + $share * ($board[($i + 1) % $count][1] - $board[$i][1]), 3),
        ];
        $a = $on($from, $random->getInt(300, 700) / 1000);
        $b = $on($to, $random->getInt(300, 700) / 1000);
        $cut = [$a];
        if ($bent) {
            $off = $random->getInt(-150, 150) / 1000;
            $cut[] = [round(($a[0] + $b[0]) / 2 - $off * ($b[1] - $a[1]), 3), round(($a[1] + $b[1]) / 2 + $off * ($b[0] - $a[0]), 3)];
        }
        $cut[] = $b;
        $walk = static function (int $i, int $j) use ($board, $count): array {
            $points = [];
            for ($k = ($i + 1) % $count;; $k = ($k + 1) % $count) {
                $points[] = $board[$k];
                if ($k === $j) {
                    return $points;
                }
            }
        };
        $halves = [[...array_reverse($cut), ...$walk($from, $to)], [...$cut, ...$walk($to, $from)]];
        $area = 0.0;
        foreach ($halves as $half) {
            try {
                $outline = Outline::of($half);
            } catch (\InvalidArgumentException) {
                return null;
            }
            if ($outline->area() < min(40_000, 1.1e6 / $pieces) || min($outline->length(), $outline->width()) < min(120, 3600 / $pieces)) {
                return null;
            }
            $area += $outline->area();
        }

        return abs($area - Outline::of($board)->area()) > 100 ? null : $halves;
    }

    /** Rectangles sawn from 2 m of cloth 1.4 m wide, none to be turned across. */
    public function sawn(int $count, int $seed, float $seconds): LayRequest
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
            static fn (int $i): LayPiece => new LayPiece('board '.($i + 1), Outline::rectangle($boards[$i][0], $boards[$i][1])),
            array_keys($boards),
        );

        return new LayRequest([new Sheet('cloth', 1400, null)], $pieces, seconds: $seconds, seed: $seed);
    }

    public function garment(string $name, float $grade, float $seconds, float $width = 1380): LayRequest
    {
        $piece = static fn (
            string $id,
            array $points,
            int $quantity = 1,
            bool $pair = false,
            bool $onFold = false,
            Grain $grain = Grain::Along,
        ): LayPiece => new LayPiece($id, self::graded($points, $grade), $quantity, pair: $pair, onFold: $onFold, grain: $grain);
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
                static fn (LayPiece $p): LayPiece => new LayPiece(
                    'child '.$p->id,
                    $p->outline,
                    $p->quantity,
                    pair: $p->pair,
                    onFold: $p->onFold,
                    grain: $p->grain,
                ),
                $sets['child’s dress'],
            ),
        ];

        return new LayRequest(
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
}
