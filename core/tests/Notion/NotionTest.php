<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Notion;

use Octavum\Core\Measure\Length;
use Octavum\Core\Notion\Allotment;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Notion\NotionReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class NotionTest extends TestCase
{
    #[DataProvider('lines')]
    public function testALineIsRead(string $line, NotionKind $kind, ?float $measure, ?int $count, ?float $length, string $name): void
    {
        $read = (new NotionReader())->read($line);
        self::assertSame([$kind, $count, $name], [$read->kind, $read->count, $read->name]);
        self::assertEquals([$measure, $length], [$read->measure?->millimetres(), $read->length?->millimetres()]);
    }

    /** @return iterable<array{string, NotionKind, ?float, ?int, ?float, string}> */
    public static function lines(): iterable
    {
        yield ['4 buttons 25 mm', NotionKind::Button, 25, 4, null, ''];
        yield ['12 horn buttons, 15mm', NotionKind::Button, 15, 12, null, 'horn'];
        yield ['invisible zip 55 cm', NotionKind::Zip, 550, null, null, 'invisible'];
        yield ['2 separating zippers 22"', NotionKind::Zip, 558.8, 2, null, 'separating'];
        yield ['1 m elastic 30 mm', NotionKind::Elastic, 30, null, 1000, ''];
        yield ['1 1/2 yd soft elastic ⅜ in', NotionKind::Elastic, 9.525, null, 1371.6, 'soft'];
        yield ['1 m narrow elastic', NotionKind::Elastic, null, null, 1000, 'narrow'];
        yield ['3 m bias binding', NotionKind::Binding, null, null, 3000, ''];
        yield ['elastic 10 mm', NotionKind::Elastic, 10, null, null, ''];
        yield ['2 D-rings 30 mm', NotionKind::Ring, 30, 2, null, ''];
        yield ['1 hook and bar', NotionKind::Hook, null, 1, null, ''];
        yield ['10 1/2" buttons', NotionKind::Button, 12.7, 10, null, ''];
        yield ['1 1/2" button', NotionKind::Button, 38.1, null, null, ''];
        yield ['six buttons', NotionKind::Button, null, 6, null, ''];
        yield ['half a dozen snaps', NotionKind::Snap, null, 6, null, ''];
        yield ['6 press studs', NotionKind::Snap, null, 6, null, ''];
        yield ['2 x 1 m cord', NotionKind::Cord, null, null, 2000, ''];
        yield ['interfacing', NotionKind::Interfacing, null, null, null, ''];
        yield ['shoulder pads', NotionKind::Pad, null, null, null, ''];
        yield ['£2 zip', NotionKind::Zip, null, null, null, '£2'];
        yield ['½ gross of hooks', NotionKind::Hook, null, null, null, '½ gross of'];
        yield ['🦆 feathers', NotionKind::Other, null, null, null, '🦆 feathers'];
    }

    public function testThePlaceIsReadWhereOneIsLookedFor(): void
    {
        $read = (new NotionReader())->read('7 shell buttons 11 mm, tin 2', true);
        self::assertSame(['shell', 'tin 2', 7], [$read->name, $read->place, $read->count]);
    }

    public function testNotionsAreGivenOutInOrderAndSizesAreNotMixed(): void
    {
        $answers = (new Allotment([
            new Notion('a', NotionKind::Button, Length::ofMillimetres(25), 5),
            new Notion('b', NotionKind::Button, Length::ofMillimetres(20), 40),
        ]))->allot(['coat' => ['4 buttons 25 mm'], 'jacket' => ['3 buttons 25 mm'], 'bag' => ['1 button 15 mm']]);
        self::assertSame(['4 buttons 25 mm: here.'], $this->says($answers['coat']));
        self::assertSame(['3 buttons 25 mm: 1 of one look here, 2 to buy that match, or a set.'], $this->says($answers['jacket']));
        self::assertSame(2, $answers['jacket'][0]->missing);
        self::assertSame(['1 button 15 mm: to buy.'], $this->says($answers['bag']));
    }

    public function testAZipALittleTooLongWillDoAndOneTooShortWillNot(): void
    {
        $zips = [
            new Notion('short', NotionKind::Zip, Length::ofMillimetres(540), 9),
            new Notion('long', NotionKind::Zip, Length::ofMillimetres(570), 1),
            new Notion('far', NotionKind::Zip, Length::ofMillimetres(571), 9),
        ];
        $answers = (new Allotment($zips))->allot(['dress' => ['invisible zip 55 cm'], 'skirt' => ['invisible zip 55 cm']]);
        self::assertSame(['invisible zip 55 cm: one of 57 cm is here, a little too long and usable.'], $this->says($answers['dress']));
        self::assertSame(['invisible zip 55 cm: to buy.'], $this->says($answers['skirt']), 'it is given out once');
    }

    public function testWhatIsOrderedCountsAfterWhatIsHereAndSaysWhenItComes(): void
    {
        $zip = static fn (string $id, int $long, ?string $comes): Notion => new Notion(
            $id,
            NotionKind::Zip,
            Length::ofMillimetres($long),
            1,
            expected: null === $comes ? null : new \DateTimeImmutable($comes),
        );
        $allotment = new Allotment([$zip('ordered', 550, '2027-03-08'), $zip('here', 560, null)]);
        $answers = $allotment->allot(['dress' => ['zip 55 cm'], 'skirt' => ['zip 55 cm'], 'bag' => ['zip 55 cm']]);
        self::assertSame(['zip 55 cm: one of 56 cm is here, a little too long and usable.'], $this->says($answers['dress']));
        self::assertSame([null, '2027-03-08', null], array_map(
            static fn (array $answer): ?string => $answer[0]->comes?->format('Y-m-d'),
            array_values($answers),
        ));
        self::assertSame([true, true, false], [$answers['dress'][0]->enough, $answers['skirt'][0]->enough, $answers['bag'][0]->enough]);
        self::assertStringContainsString('ordered, comes about', $this->says($answers['skirt'])[0]);
        self::assertNotNull((new Allotment([$zip('o', 550, '2027-03-08')]))->without(['zip 55 cm'])[0]->expected);
    }

    public function testButtonsOfOneLookMakeASet(): void
    {
        $stash = [
            new Notion('a', NotionKind::Button, null, 7, name: 'shell'),
            new Notion('b', NotionKind::Button, null, 3, name: 'red'),
            new Notion('c', NotionKind::Button, null, 12, name: 'horn'),
        ];
        $answers = (new Allotment(\array_slice($stash, 0, 2)))->allot(['shirt' => ['10 buttons']]);
        self::assertSame(['10 buttons: 7 of one look here, 3 to buy that match, or a set.'], $this->says($answers['shirt']));
        $all = (new Allotment($stash))->allot(['shirt' => ['10 buttons'], 'cuff' => ['2 buttons']]);
        self::assertSame(['10 buttons: here.'], $this->says($all['shirt']));
        self::assertSame(['2 buttons: here.'], $this->says($all['cuff']));
        self::assertSame(1, (new Allotment($stash))->without(['2 buttons'])[0]->count, 'of the smallest set that is enough');
    }

    public function testThreadGoesByItsColourAndZipsByTheirKind(): void
    {
        $stash = [
            new Notion('r', NotionKind::Thread, null, 3, name: 'red'),
            new Notion('z', NotionKind::Zip, Length::ofMillimetres(600), 1),
        ];
        $answers = (new Allotment($stash))->allot([
            'coat' => ['1 reel navy thread', 'separating zip 60 cm', '1 reel red thread', 'zip 60 cm'],
        ]);
        self::assertSame([false, false, true, true], array_map(static fn ($answer): ?bool => $answer->enough, $answers['coat']));
    }

    public function testElasticIsWantedInOnePieceOfItsWidth(): void
    {
        $elastic = [
            new Notion('a', NotionKind::Elastic, Length::ofMillimetres(30), null, Length::ofMillimetres(600)),
            new Notion('b', NotionKind::Elastic, Length::ofMillimetres(30), null, Length::ofMillimetres(500)),
        ];
        $answers = (new Allotment($elastic))->allot([
            'shorts' => ['1 m elastic 30 mm', '50 cm elastic 30 mm', 'elastic 10 mm', 'interfacing'],
        ]);
        self::assertSame(
            [
                '1 m elastic 30 mm: not here in one piece; 1.00 m to buy.',
                '50 cm elastic 30 mm: here.',
                'elastic 10 mm: none is here, and the amount it takes is not set.',
                'interfacing: none is here, and the amount it takes is not set.',
            ],
            $this->says($answers['shorts']),
        );
        self::assertSame(
            [false, true, null, null],
            array_map(static fn (NotionAnswer $answer): ?bool => $answer->enough, $answers['shorts']),
        );
    }

    /** Twill tape is no webbing, piping no ribbon; where no sort is asked for, any will do. */
    public function testWhatGoesByLengthIsToldApartByItsKindAndItsSort(): void
    {
        $reader = new NotionReader();
        $stash = array_map($reader->read(...), ['2 m webbing 25 mm', '3 m petersham 25 mm']);
        $answers = (new Allotment($stash))->allot([
            'bag' => ['1 m twill tape 25 mm', '1.5 m webbing 25 mm', '2 m piping', '1 m ribbon 25 mm', '40 cm tape'],
        ])['bag'];
        self::assertSame([false, true, false, true, true], array_map(static fn (NotionAnswer $answer): ?bool => $answer->enough, $answers));
        self::assertSame(2000, (int) $answers[2]->short?->millimetres());
    }

    /** Whatever is asked for, no more is given out than there is, and whoever comes first is never worse off for those behind. */
    public function testNoMoreIsGivenOutThanThereIs(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($round = 0; $round < 200; ++$round) {
            $stash = [];
            $there = 0;
            for ($i = 0, $tins = $random->getInt(0, 4); $i < $tins; ++$i) {
                $there += $count = $random->getInt(0, 9);
                $stash[] = new Notion('n'.$i, NotionKind::Button, Length::ofMillimetres(11), $count);
            }
            $lines = ['p0' => [$random->getInt(1, 9).' buttons 11 mm']];
            for ($i = 1, $projects = $random->getInt(1, 5); $i < $projects; ++$i) {
                $lines['p'.$i] = [$random->getInt(1, 9).' buttons 11 mm'];
            }
            $answers = (new Allotment($stash))->allot($lines);
            $given = $wanted = 0;
            foreach ($answers as $project => [$answer]) {
                $wanted += (int) $answer->wanted->count;
                $given += (int) $answer->wanted->count - (int) $answer->missing;
                self::assertSame(0 === $answer->missing, $answer->enough, $project);
            }
            self::assertSame(min($there, $wanted), $given);
            self::assertEquals(
                $answers['p0'],
                (new Allotment($stash))->allot(['p0' => $lines['p0']])['p0'],
                'those behind take nothing away',
            );
        }
    }

    public function testNothingTypedIsDropped(): void
    {
        foreach (['7 odd buttons 11 mm 22 mm, tin', 'zip 20 cm 30 cm', '3 reels thread no. 40'] as $line) {
            $read = (new NotionReader())->read($line);
            $kept = implode(' ', [$read->kind->value, $read->name, $read->count, $read->measure?->millimetres()]);
            preg_match_all('/\p{L}+/u', $line, $words);
            foreach ($words[0] as $word) {
                self::assertTrue(
                    \in_array($word, ['mm', 'cm', 'buttons', 'reels'], true) || str_contains($kept, $word),
                    $line.': '.$word,
                );
            }
        }
        self::assertStringContainsString(
            '11 mm',
            (new NotionReader())->read('7 odd buttons 11 mm 22 mm')->name,
            'a measure that found no use stands in the name',
        );
    }

    /**
     * @param list<NotionAnswer> $answers
     *
     * @return list<string>
     */
    private function says(array $answers): array
    {
        return array_map(static fn (NotionAnswer $answer): string => (string) $answer->sentence, $answers);
    }
}
