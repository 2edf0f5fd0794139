<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Shape\Pen;

/**
 * Shapes that are drawn from a few measurements, near enough to lay them: proportions of the curves after the usual flat
 * drafts. x runs down the grain from the top, y across; what is cut on the fold has its fold on y = 0.
 * Longer than other files: the measurements of each draft are a table.
 */
enum Draft: string
{
    case Box = 'box';
    case BodiceFront = 'bodice front';
    case BodiceBack = 'bodice back';
    case Sleeve = 'sleeve';
    case Raglan = 'raglan sleeve';
    case TrouserFront = 'trouser front';
    case TrouserBack = 'trouser back';
    case FlaredPanel = 'A-line skirt panel';
    case PencilPanel = 'pencil skirt panel';
    case Sector = 'circle sector';
    case Gathered = 'gathered rectangle';
    case Yoke = 'yoke';
    case Collar = 'collar';
    case Stand = 'collar stand';
    case Cuff = 'cuff';
    case Waistband = 'waistband';
    case Facing = 'neck facing';
    case Pocket = 'pocket';
    case Strip = 'strip';

    /** How far a drawn curve may leave its true course, mm. */
    private const TOLERANCE = 1.0;

    /** @return non-empty-list<Measure> */
    public function measures(): array
    {
        return match ($this) {
            self::Box => [new Measure('length', 300), new Measure('width', 200)],
            self::BodiceFront => [
                new Measure('length', 620),
                new Measure('half chest', 260),
                new Measure('half hem', 260),
                new Measure('shoulder', 125),
                new Measure('half neck', 80),
                new Measure('neck depth', 95),
                new Measure('armhole depth', 230),
                new Measure('shoulder slope', 40, 0),
            ],
            self::BodiceBack => [
                new Measure('length', 630),
                new Measure('half chest', 260),
                new Measure('half hem', 260),
                new Measure('shoulder', 125),
                new Measure('half neck', 80),
                new Measure('neck depth', 25),
                new Measure('armhole depth', 235),
                new Measure('shoulder slope', 40, 0),
            ],
            self::Sleeve => [
                new Measure('length', 600),
                new Measure('cap height', 130),
                new Measure('upper arm', 360),
                new Measure('hem', 240),
            ],
            self::Raglan => [
                new Measure('length', 750),
                new Measure('raglan height', 280),
                new Measure('neck', 110),
                new Measure('upper arm', 400),
                new Measure('hem', 240),
            ],
            self::TrouserFront => [
                new Measure('length', 1050),
                new Measure('crotch depth', 290),
                new Measure('waist', 220),
                new Measure('hip', 250),
                new Measure('crotch', 60, 0),
                new Measure('hem', 230),
            ],
            self::TrouserBack => [
                new Measure('length', 1050),
                new Measure('crotch depth', 290),
                new Measure('waist', 240),
                new Measure('hip', 270),
                new Measure('crotch', 120, 0),
                new Measure('hem', 250),
                new Measure('raised back', 35, 0),
            ],
            self::FlaredPanel => [
                new Measure('length', 650),
                new Measure('half waist', 190),
                new Measure('half hem', 330),
                new Measure('waist curve', 15, 0),
            ],
            self::PencilPanel => [
                new Measure('length', 620),
                new Measure('half waist', 190),
                new Measure('half hip', 250),
                new Measure('hip depth', 200),
                new Measure('half hem', 225),
            ],
            self::Sector => [new Measure('waist radius', 120), new Measure('length', 650), new Measure('angle', 90, 5, 180, '°')],
            self::Gathered => [new Measure('length', 650), new Measure('gathered to', 380), new Measure('fullness', 180, 100, 500, '%')],
            self::Yoke => [
                new Measure('depth', 130),
                new Measure('half width', 230),
                new Measure('half neck', 80),
                new Measure('neck depth', 25),
            ],
            self::Collar => [new Measure('half length', 210), new Measure('height', 75), new Measure('point', 20, 0)],
            self::Stand => [new Measure('half length', 225), new Measure('height', 40), new Measure('rise', 15, 0)],
            self::Cuff => [new Measure('length', 260), new Measure('height', 80)],
            self::Waistband => [new Measure('length', 820), new Measure('height', 90)],
            self::Facing => [
                new Measure('half neck', 80),
                new Measure('neck depth', 95),
                new Measure('height', 60),
                new Measure('shoulder slope', 20, 0),
            ],
            self::Pocket => [new Measure('length', 180), new Measure('width', 150), new Measure('point', 25, 0)],
            self::Strip => [new Measure('length', 900), new Measure('width', 40)],
        };
    }

    /** Whether it is usually cut on the fold. */
    public function onFold(): bool
    {
        return \in_array(
            $this,
            [
                self::BodiceFront,
                self::BodiceBack,
                self::FlaredPanel,
                self::PencilPanel,
                self::Yoke,
                self::Collar,
                self::Stand,
                self::Facing,
            ],
            true,
        );
    }

    /** Whether it is usually cut twice, a left and a right. */
    public function pair(): bool
    {
        return \in_array($this, [self::Sleeve, self::Raglan, self::TrouserFront, self::TrouserBack], true);
    }

    /**
     * @param array<string, float> $m every measure, by name
     *
     * @return list<array{float, float}>
     */
    public function points(array $m): array
    {
        return match ($this) {
            self::Box, self::Strip => $this->rectangle($m['length'], $m['width']),
            self::Cuff, self::Waistband => $this->rectangle($m['length'], $m['height']),
            self::Gathered => $this->rectangle($m['length'], ($m['gathered to'] * $m['fullness']) / 100),
            self::BodiceFront, self::BodiceBack => $this->bodice($m),
            self::Sleeve => $this->sleeve($m['length'], $m['cap height'], $m['upper arm'], $m['hem']),
            self::Raglan => $this->raglan($m['length'], $m['raglan height'], $m['neck'], $m['upper arm'], $m['hem']),
            self::TrouserFront, self::TrouserBack => $this->trousers($m),
            self::FlaredPanel => $this->flared($m['length'], $m['half waist'], $m['half hem'], $m['waist curve']),
            self::PencilPanel => $this->pencil($m),
            self::Sector => $this->sector($m['waist radius'], $m['length'], $m['angle']),
            self::Yoke => $this->pen($m['neck depth'], 0)
                ->line($m['depth'], 0)
                ->line($m['depth'], $m['half width'])
                ->line(min(40, 0.3 * $m['depth']), $m['half width'])
                ->line(0, $m['half neck'])
                ->curve([$m['neck depth'], 0.8 * $m['half neck']], [$m['neck depth'], 0.5 * $m['half neck']], [$m['neck depth'], 0])
                ->closed(),
            self::Collar => $this->turned(
                $this->pen(0, 0)
                    ->line($m['half length'], 0)
                    ->line($m['half length'] + $m['point'], $m['height'])
                    ->line(0, $m['height'])
                    ->closed(),
            ),
            self::Stand => $this->turned(
                $this->pen(0, 0)
                    ->curve(
                        [0.6 * $m['half length'], 0],
                        [$m['half length'], $m['rise']],
                        [$m['half length'], $m['rise'] + 0.4 * $m['height']],
                    )
                    ->curve([$m['half length'], $m['rise'] + $m['height']], [0.6 * $m['half length'], $m['height']], [0, $m['height']])
                    ->closed(),
            ),
            self::Facing => $this->facing($m['half neck'], $m['neck depth'], $m['height'], $m['shoulder slope']),
            self::Pocket => $this->pen(0, 0)
                ->line($m['length'] - min($m['point'], 0.9 * $m['length']), 0)
                ->line($m['length'], $m['width'] / 2)
                ->line($m['length'] - min($m['point'], 0.9 * $m['length']), $m['width'])
                ->line(0, $m['width'])
                ->closed(),
        };
    }

    private function pen(float $x, float $y): Pen
    {
        return new Pen($x, $y, self::TOLERANCE);
    }

    /** @return list<array{float, float}> */
    private function rectangle(float $length, float $width): array
    {
        return [[0.0, 0.0], [$length, 0.0], [$length, $width], [0.0, $width]];
    }

    /**
     * Drawn with its centre on x = 0: laid with the centre on the fold, its length across the cloth.
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private function turned(array $points): array
    {
        return array_map(static fn (array $p): array => [$p[1], $p[0]], $points);
    }

    /**
     * @param array<string, float> $m
     *
     * @return list<array{float, float}>
     */
    private function bodice(array $m): array
    {
        [$arm, $chest, $neck, $depth, $slope] = [
            $m['armhole depth'],
            $m['half chest'],
            $m['half neck'],
            $m['neck depth'],
            $m['shoulder slope'],
        ];
        $tip = $neck + $m['shoulder'];

        return $this->pen($depth, 0)
            ->line($m['length'], 0)
            ->line($m['length'], $m['half hem'])
            ->line($arm, $chest)
            ->curve([$arm, $chest - 0.75 * ($chest - min($tip, $chest)) - 15], [0.75 * $arm, min($tip, $chest) - 20], [$slope, $tip])
            ->line(0, $neck)
            ->curve([0.6 * $depth, $neck], [$depth, 0.7 * $neck], [$depth, 0])
            ->closed();
    }

    /**
     * The front of the cap, at the lower y, is scooped out a little further than the back.
     *
     * @return list<array{float, float}>
     */
    private function sleeve(float $length, float $cap, float $arm, float $hem): array
    {
        $middle = $arm / 2;

        return $this->pen($cap, 0)
            ->curve([$cap, 0.15 * $arm], [0.62 * $cap, 0.2 * $arm], [0.36 * $cap, 0.26 * $arm])
            ->curve([0.12 * $cap, 0.32 * $arm], [0, 0.4 * $arm], [0, $middle])
            ->curve([0, 0.62 * $arm], [0.1 * $cap, 0.7 * $arm], [0.34 * $cap, 0.76 * $arm])
            ->curve([0.58 * $cap, 0.82 * $arm], [$cap, 0.86 * $arm], [$cap, $arm])
            ->line($length, $middle + $hem / 2)
            ->line($length, $middle - $hem / 2)
            ->closed();
    }

    /** @return list<array{float, float}> */
    private function raglan(float $length, float $height, float $neck, float $arm, float $hem): array
    {
        $middle = $arm / 2;

        return $this->pen($height, 0)
            ->curve([0.7 * $height, 0.16 * $arm], [0.3 * $height, 0.3 * ($arm - $neck)], [0.06 * $height, $middle - $neck / 2])
            ->line(0, $middle + $neck / 2)
            ->curve([0.3 * $height, $arm - 0.28 * ($arm - $neck)], [0.7 * $height, 0.86 * $arm], [$height, $arm])
            ->line($length, $middle + $hem / 2)
            ->line($length, $middle - $hem / 2)
            ->closed();
    }

    /**
     * Centre seam at the lower y, side seam at the higher.
     *
     * @param array<string, float> $m
     *
     * @return list<array{float, float}>
     */
    private function trousers(array $m): array
    {
        [$depth, $crotch, $hip, $waist, $raised] = [$m['crotch depth'], $m['crotch'], $m['hip'], $m['waist'], $m['raised back'] ?? 0.0];
        $leg = ($crotch + $hip) / 2;
        $in = max(0.0, ($hip - $waist) * ($raised > 0 ? 0.7 : 0.4));

        return $this->pen(0, $crotch + $in)
            ->line($raised, $crotch + $in + $waist)
            ->curve([0.3 * $depth + $raised, $crotch + $in + $waist], [0.6 * $depth, $crotch + $hip], [$depth + $raised, $crotch + $hip])
            ->line($m['length'] + $raised, $leg + $m['hem'] / 2)
            ->line($m['length'] + $raised, $leg - $m['hem'] / 2)
            ->line($depth + $raised, 0)
            ->curve(
                [$depth + $raised - 5, 0.6 * $crotch],
                [0.8 * $depth + $raised, $crotch],
                [0.6 * $depth + $raised, $crotch + 0.35 * $in],
            )
            ->closed();
    }

    /** @return list<array{float, float}> */
    private function flared(float $length, float $waist, float $hem, float $curve): array
    {
        return $this->pen($curve, 0)
            ->line($length + $curve, 0)
            ->curve([$length + $curve, 0.4 * $hem], [$length + 0.5 * $curve, 0.75 * $hem], [$length, $hem])
            ->line(0, $waist)
            ->curve([0.5 * $curve, 0.75 * $waist], [$curve, 0.4 * $waist], [$curve, 0])
            ->closed();
    }

    /**
     * @param array<string, float> $m
     *
     * @return list<array{float, float}>
     */
    private function pencil(array $m): array
    {
        return $this->pen(10, 0)
            ->line($m['length'], 0)
            ->line($m['length'], $m['half hem'])
            ->line($m['hip depth'], $m['half hip'])
            ->curve(
                [0.6 * $m['hip depth'], $m['half hip']],
                [0.3 * $m['hip depth'], $m['half waist'] + 0.3 * ($m['half hip'] - $m['half waist'])],
                [0, $m['half waist']],
            )
            ->line(10, 0)
            ->closed();
    }

    /** @return list<array{float, float}> one straight edge on y = 0 */
    private function sector(float $radius, float $length, float $angle): array
    {
        [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
        $outer = $radius + $length;

        return $this->pen($radius, 0)
            ->line($outer, 0)
            ->arc([$outer, $outer], 0, $angle > 180, true, [$outer * $cos, $outer * $sin])
            ->line($radius * $cos, $radius * $sin)
            ->arc([$radius, $radius], 0, $angle > 180, false, [$radius, 0])
            ->closed();
    }

    /** @return list<array{float, float}> */
    private function facing(float $neck, float $depth, float $height, float $slope): array
    {
        return $this->pen($depth, 0)
            ->line($depth + $height, 0)
            ->curve([$depth + $height, 0.7 * ($neck + $height)], [0.6 * ($depth + $height), $neck + $height], [$slope, $neck + $height])
            ->line(0, $neck)
            ->curve([0.6 * $depth, $neck], [$depth, 0.7 * $neck], [$depth, 0])
            ->closed();
    }
}
