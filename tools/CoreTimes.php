<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\CrossLine;
use Octavum\Core\Match\CrossTable;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Remedy\ChangedLays;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Workroom\Workroom;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What the core alone takes on a large workroom: the season, one cloth and all cuts before the library, the remedies. */
final readonly class CoreTimes
{
    public function __construct(private Stopwatch $watch)
    {
    }

    public function measure(Workroom $workroom): void
    {
        $assumptions = $workroom->settings->assumptions;
        $this->watch->measure(
            'check the season, core alone',
            static fn () => (new SeasonCheck($assumptions))->check($workroom->seasons[0], $workroom->projects),
        );
        $all = \count($workroom->patterns);
        foreach ([$this->oneAgainstAll(...), $this->allAgainstAll(...)] as $times) {
            $half = $times($workroom, intdiv($all, 2));
            $this->watch->row('twice the patterns take', \sprintf('%.2f times as long', $times($workroom, $all) / $half));
        }
        $this->watch->measure('remedies of 25 pieces, core', self::remedies(...), 5);
    }

    /** What each of twenty cloths can become, laid before a number of patterns; the milliseconds for one. */
    private function oneAgainstAll(Workroom $workroom, int $patterns): float
    {
        $assumptions = $workroom->settings->assumptions;
        $makings = self::makings($workroom, $patterns);
        $becomes = new WhatItBecomes($assumptions);
        $cloths = \array_slice($workroom->cloths, 0, 20);
        $next = 0;

        return $this->watch->measure(
            \sprintf('one cloth against %d versions, core', \count($makings)),
            static function () use ($becomes, $cloths, $makings, $assumptions, &$next): void {
                $cloth = $cloths[$next++ % \count($cloths)];
                $toCut = ToCut::of($cloth, $cloth->cuts[0], $assumptions);
                $becomes->propose($cloth, CuttingCloth::cut($cloth, $toCut), $toCut->length, $makings);
            },
            \count($cloths),
        );
    }

    /** All cuts before a number of patterns, as octavum:cross lays them. */
    private function allAgainstAll(Workroom $workroom, int $patterns): float
    {
        $makings = self::makings($workroom, $patterns);
        $cuts = array_sum(array_map(static fn (Cloth $cloth): int => \count($cloth->cuts), $workroom->cloths));
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $spent = $this->watch->measure(
            \sprintf('%d cuts against %d versions, core', $cuts, \count($makings)),
            static function () use ($workroom, $makings): void {
                $line = new CrossLine();
                foreach ((new CrossTable($workroom->settings->assumptions))->pairs($workroom->cloths, $makings) as $pair) {
                    $line->add($pair);
                }
            },
            3,
        );
        $this->watch->row('and of memory', \sprintf('%.0f MB', (memory_get_peak_usage() - $before) / 1e6));

        return $spent;
    }

    /** @return list<Making> */
    private static function makings(Workroom $workroom, int $patterns): array
    {
        return Making::all(\array_slice($workroom->patterns, 0, $patterns), $workroom->people[0], new Sewist(), ['14']);
    }

    /** Everything that may be done about a garment of 25 pieces, laid for the first time. */
    private static function remedies(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $names = ['Front', 'Back', 'Sleeve', 'Collar', 'Cuff', 'Pocket', 'Front facing', 'Back facing', 'Yoke', 'Skirt front', 'Hood'];
        $pieces = [];
        for ($i = 0; $i < 25; ++$i) {
            $outline = Outline::rectangle($random->getInt(150, $i < 8 ? 800 : 400), $random->getInt(80, 350));
            $name = ($names[$i] ?? 'Piece').' '.$i;
            $pieces[] = new Piece($name, quantity: $random->getInt(1, 2), shapes: [new Shape([], $outline, Length::ofMillimetres(15))]);
        }
        [$need, $free, $fitting] = array_map(Length::ofMillimetres(...), [9000, 2000, 1900]);
        $lays = new ChangedLays(Laying::of($pieces, '', new LaySurface(Length::ofMillimetres(1380))));
        (new MakeEnough($lays, $need, $free, true, $fitting))->tried();
    }
}
