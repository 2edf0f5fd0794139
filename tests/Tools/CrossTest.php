<?php

declare(strict_types=1);

namespace Octavum\Tests\Tools;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\CrossTable;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Tests\PageTestCase;
use Octavum\Tools\LargeWorkroom;
use PHPUnit\Framework\Attributes\DataProvider;

/** The table of all cuts before all versions. */
final class CrossTest extends PageTestCase
{
    #[DataProvider('workrooms')]
    public function testEveryPairStandsWhereItStandsWhenItsClothIsLaidByItself(bool $demo): void
    {
        $workroom = $demo ? self::fixture() : (new LargeWorkroom())->make(25, 35, 30, 0);
        $sewn = new Sewn($workroom->projects);
        $person = $sewn->mostFor(array_column($workroom->people, null, 'id'));
        $makings = Making::all($workroom->patterns, $person, $workroom->settings->sewist->having($sewn->made()), ['14']);
        $promised = [$workroom->cloths[7]->cuts[0]->id => Length::ofMetres('0.5')];
        $overruled = [Overrule::key($workroom->cloths[0]->id, $makings[0]->version->id) => 'It is for a play.'];
        $table = [];
        foreach ((new CrossTable(new Assumptions(), $overruled))->pairs($workroom->cloths, $makings, $promised) as $pair) {
            $table[$pair->cut->id][$pair->making->version->id] = [$pair->group, $pair->points, $pair->spare?->micrometres];
        }
        $becomes = new WhatItBecomes(new Assumptions(), $overruled);
        $compared = 0;
        foreach ($workroom->cloths as $cloth) {
            foreach ($cloth->cuts as $cut) {
                $toCut = ToCut::of($cloth, $cut, new Assumptions());
                $free = $toCut->length?->minus($promised[$cut->id] ?? Length::zero())->larger(Length::zero());
                if ($cut->gone || null === $free) {
                    continue;
                }
                $expected = [];
                foreach ($becomes->propose($cloth, CuttingCloth::cut($cloth, $toCut), $free, $makings) as $one) {
                    if (Group::Not !== $one->group) {
                        $expected[$one->making->version->id] = [$one->group, $one->judgement->points, $one->fit?->spare?->micrometres];
                    }
                }
                ksort($expected);
                $found = $table[$cut->id] ?? [];
                ksort($found);
                self::assertSame($expected, $found, $cloth->name);
                $compared += \count($expected);
            }
        }
        self::assertGreaterThan(700, $compared);
    }

    /** @return iterable<string, array{bool}> */
    public static function workrooms(): iterable
    {
        yield 'the demo workroom' => [true];
        yield 'a made-up one' => [false];
    }

    public function testTheCommandSaysWhatEachCutBecomesAndWhatThereIsForEachVersion(): void
    {
        $csv = tempnam(sys_get_temp_dir(), 'octavum-cross-');
        $cross = $this->command('octavum:cross', ['--for' => 'Ottoline', '--csv' => $csv]);
        self::assertSame(0, $cross->getStatusCode(), $cross->getErrorOutput());
        $display = $cross->getDisplay();
        self::assertMatchesRegularExpression('/^\d+ cuts before \d+ versions, for Ottoline$/m', $display);
        self::assertMatchesRegularExpression('/^Plum ponte +3 made for it .*Tiller tee B, long sleeves in 14, 79 cm over/m', $display);
        self::assertMatchesRegularExpression('/^Moss linen, cut 2 /m', $display);
        self::assertMatchesRegularExpression('/^Tiller tee A in 14 +3 made for it.*Plum ponte, 1.04 m over/m', $display);
        $lines = file($csv, \FILE_IGNORE_NEW_LINES);
        unlink($csv);
        self::assertIsArray($lines);
        self::assertSame('cloth,cut,pattern,version,size,stands,points,spare_mm', $lines[0]);
        $tee = '/^"Plum ponte",\w+,"Tiller tee","B, long sleeves",14,"made for it",\d+,79\d$/';
        self::assertCount(1, array_filter($lines, static fn (string $line): bool => 1 === preg_match($tee, $line)));
    }

    public function testWhoIsNotThereAndWhatCannotBeWrittenAreSaid(): void
    {
        $cross = $this->command('octavum:cross', ['--for' => 'Nobody']);
        self::assertSame(2, $cross->getStatusCode());
        self::assertStringContainsString('There is nobody called “Nobody”', $cross->getErrorOutput());
        $cross = $this->command('octavum:cross', ['--csv' => '/nowhere/at/all.csv']);
        self::assertSame(2, $cross->getStatusCode());
        self::assertStringContainsString('cannot be written', $cross->getErrorOutput());
        self::assertSame(2, $this->command('octavum:cross', ['file' => '/nowhere.json'])->getStatusCode());
    }

    private static function fixture(): Workroom
    {
        $reader = self::getContainer()->get(WorkroomReader::class);
        self::assertInstanceOf(WorkroomReader::class, $reader);

        return $reader->read((string) file_get_contents(__DIR__.'/../../fixtures/demo-workroom.json'));
    }
}
