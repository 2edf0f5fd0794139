<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Shape\Pen;

/** Reads the d attribute of a path (SVG 1.1, section 8.3) into lines of points, curves flattened. */
final readonly class PathReader
{
    /** Characters of one path. */
    private const LONGEST = 500_000;
    private const BETWEEN = " \t\r\n\f,";
    private const NUMBERS = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7, 'Z' => 0];

    /** How far from its origin anything may lie, in tolerances: at a quarter of a millimetre, a hundred metres. */
    private const FARTHEST = 500_000;

    /** @param float $tolerance by which a point may leave its curve, in the path's own unit */
    public function __construct(private float $tolerance, private Budget $budget = new Budget())
    {
    }

    /**
     * @return list<array{float, float}>
     *
     * @throws \InvalidArgumentException
     */
    public function ellipse(float $x, float $y, float $rx, float $ry): array
    {
        array_map($this->near(...), [$x, $y, $rx, $ry]);
        $points = (new Pen($x + $rx, $y, $this->tolerance))
            ->arc([$rx, $ry], 0, false, true, [$x - $rx, $y])
            ->arc([$rx, $ry], 0, false, true, [$x + $rx, $y])
            ->closed();
        $this->budget->spend(\count($points));

        return $points;
    }

    /**
     * @return list<array{list<array{float, float}>, bool}> the points of each part, and whether it is closed
     *
     * @throws \InvalidArgumentException naming what cannot be read
     */
    public function read(string $d): array
    {
        $parts = [];
        $pen = null;
        $handle = null;
        $before = '';
        $drawn = 0;
        $start = $at = [0.0, 0.0];
        foreach ($this->commands($d) as [$command, $n]) {
            $kind = strtoupper($command);
            [$ox, $oy] = $command === $kind ? [0.0, 0.0] : $at;
            if ('M' === $kind) {
                $parts = $this->with($parts, $pen, false);
                $start = $at = [$n[0] + $ox, $n[1] + $oy];
                $pen = new Pen($at[0], $at[1], $this->tolerance);
            } elseif ('Z' === $kind) {
                $parts = $this->with($parts, $pen, true);
                $pen = null;
                $at = $start;
            } else {
                $pen ??= new Pen($at[0], $at[1], $this->tolerance);
                $mirrored = null === $handle ? $at : [2 * $at[0] - $handle[0], 2 * $at[1] - $handle[1]];
                $handle = null;
                $smooth = \in_array($before, 'S' === $kind ? ['C', 'S'] : ['Q', 'T'], true) ? $mirrored : $at;
                $to = match ($kind) {
                    'H' => [$n[0] + $ox, $at[1]],
                    'V' => [$at[0], $n[0] + $oy],
                    default => [$n[\count($n) - 2] + $ox, $n[\count($n) - 1] + $oy],
                };
                switch ($kind) {
                    case 'C':
                        $handle = [$n[2] + $ox, $n[3] + $oy];
                        $pen->curve([$n[0] + $ox, $n[1] + $oy], [$handle[0], $handle[1]], [$to[0], $to[1]]);
                        break;
                    case 'S':
                        $handle = [$n[0] + $ox, $n[1] + $oy];
                        $pen->curve([$smooth[0], $smooth[1]], [$handle[0], $handle[1]], [$to[0], $to[1]]);
                        break;
                    case 'Q':
                    case 'T':
                        $handle = 'Q' === $kind ? [$n[0] + $ox, $n[1] + $oy] : $smooth;
                        $pen->quadratic($handle[0], $handle[1], $to[0], $to[1]);
                        break;
                    case 'A':
                        $pen->arc([$n[0], $n[1]], $n[2], 0.0 !== $n[3], 0.0 !== $n[4], [$to[0], $to[1]]);
                        break;
                    default:
                        $pen->line($to[0], $to[1]);
                }
                $at = array_map($this->near(...), $to);
                $this->budget->spend(2 + \count($pen->points) - $drawn);
            }
            $drawn = null === $pen ? 0 : \count($pen->points);
            $before = $kind;
        }

        return $this->with($parts, $pen, false);
    }

    /**
     * @param list<array{list<array{float, float}>, bool}> $parts
     *
     * @return list<array{list<array{float, float}>, bool}>
     */
    private function with(array $parts, ?Pen $pen, bool $closed): array
    {
        if (null === $pen || \count($pen->points) < 2) {
            return $parts;
        }
        $last = $pen->points[\count($pen->points) - 1];

        $parts[] = [$pen->closed(), $closed || hypot($pen->points[0][0] - $last[0], $pen->points[0][1] - $last[1]) < 1e-3];

        return $parts;
    }

    /**
     * One for each set of numbers; numbers that follow a move are lines.
     *
     * @return list<array{string, list<float>}>
     */
    private function commands(string $d): array
    {
        $commands = [];
        if (\strlen($d) > self::LONGEST || 1 !== preg_match('/^[\s,]*(?:[Mm]|$)/', $d)) {
            throw new \InvalidArgumentException(mb_substr($d, 0, 20));
        }
        preg_match_all('/([A-Za-z])([^A-DF-Za-df-z]*)/', $d, $found, \PREG_SET_ORDER);
        foreach ($found as [, $command, $text]) {
            $each = self::NUMBERS[strtoupper($command)] ?? throw new \InvalidArgumentException($command);
            $numbers = $this->numbers($text, 'A' === strtoupper($command));
            if (0 === $each ? [] !== $numbers : [] === $numbers || 0 !== \count($numbers) % $each) {
                throw new \InvalidArgumentException($command.' '.mb_substr(trim($text), 0, 20));
            }
            foreach ([] === $numbers ? [[]] : array_chunk($numbers, max(1, $each)) as $i => $chunk) {
                $commands[] = [$i > 0 && 'M' === $command ? 'L' : ($i > 0 && 'm' === $command ? 'l' : $command), $chunk];
            }
        }

        return $commands;
    }

    /**
     * @param bool $arc whose two flags may stand without anything between them
     *
     * @return list<float>
     */
    private function numbers(string $text, bool $arc): array
    {
        $numbers = [];
        $count = 0;
        for ($at = strspn($text, self::BETWEEN); $at < \strlen($text); $at += strspn($text, self::BETWEEN, $at)) {
            $flag = $arc && \in_array($count % 7, [3, 4], true);
            if (1 !== preg_match($flag ? '/\G[01]/' : '/\G[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?/', $text, $part, 0, $at)) {
                throw new \InvalidArgumentException(mb_substr($text, $at, 20));
            }
            $numbers[] = $this->near((float) $part[0]);
            $at += \strlen($part[0]);
            ++$count;
        }
        $this->budget->spend($count);

        return $numbers;
    }

    /** @throws \InvalidArgumentException when it is farther off than any piece */
    private function near(float $number): float
    {
        return abs($number) <= self::FARTHEST * $this->tolerance ? $number : throw new \InvalidArgumentException((string) $number);
    }
}
