<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Haul;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Haul\HaulLine;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Reading\Chip;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HaulReaderTest extends TestCase
{
    /** Every length, width, price and fibre of the corpus is right, or flagged: none is silently wrong. */
    #[DataProvider('corpus')]
    public function testNothingIsSilentlyWrong(
        string $text,
        string $cuts,
        string $length,
        string $width,
        string $fibres,
        string $price,
    ): void {
        $line = $this->read($text);
        $flagged = [] !== $line->reading->doubts;
        $said = [
            'cuts' => (string) ($line->cuts->count + \count($line->cuts->others)),
            'length' => $this->number($line->cuts->length),
            'width' => $this->number($line->width),
            'fibres' => [] === $line->material->fibres->shares
                    ? '-'
                    : implode(
                        ', ',
                        array_map(
                            static fn (string $fibre, int $share): string => $fibre.' '.$share,
                            array_keys($line->material->fibres->shares),
                            $line->material->fibres->shares,
                        ),
                    ),
            'price' => null === $line->origin->price ? '-' : (string) $line->origin->price,
        ];
        foreach (['cuts' => $cuts, 'length' => $length, 'width' => $width, 'fibres' => $fibres, 'price' => $price] as $field => $right) {
            if ($said[$field] !== $right) {
                self::assertTrue(
                    $flagged || ('?' === $right && '-' === $said[$field]),
                    \sprintf('%s of “%s”: %s, not %s, and nothing says so', $field, $text, $said[$field], $right),
                );
            }
        }
        self::assertStringContainsString(
            trim($text),
            $line->cloth(new Assumptions(), new \DateTimeImmutable('2026-11-25'))->keeping->notes,
            'nothing typed is lost',
        );
    }

    /** How much of it is right at once: measured, and not to become less. */
    public function testMostOfTheCorpusIsReadWithoutADoubt(): void
    {
        $right = $all = 0;
        foreach (self::corpus() as [$text, $cuts, $length, $width, $fibres, $price]) {
            $line = $this->read($text);
            foreach (
                [
                    [$length, $this->number($line->cuts->length)],
                    [$width, $this->number($line->width)],
                    [$price, null === $line->origin->price ? '-' : (string) $line->origin->price],
                ] as [$expected, $said]
            ) {
                if ('?' !== $expected) {
                    ++$all;
                    $right += $expected === $said ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(0.97, $right / $all, "$right of $all figures");
    }

    /** @return iterable<string, array{string, string, string, string, string, string}> */
    public static function corpus(): iterable
    {
        foreach (
            explode(
                "\n",
                file_get_contents(__DIR__.'/corpus.tsv')
                    ."\n"
                    .file_get_contents(__DIR__.'/held-out.tsv')
                    ."\n"
                    .file_get_contents(__DIR__.'/blind.tsv'),
            ) as $row
        ) {
            $cells = explode("\t", $row);
            if (6 === \count($cells) && !str_starts_with($row, '#')) {
                yield $cells[0] => $cells;
            }
        }
    }

    public function testWordsTellWhatKindOfClothItIs(): void
    {
        $line = $this->read('2 x 1.6m lawn one-way herons 136 wide, green? locker 3, washed');
        self::assertSame(
            [ClothType::Lawn, null, Direction::OneWay, 'locker 3', true, ['#3c8a4e']],
            [
                $line->material->type,
                $line->material->statedStructure,
                $line->look->direction,
                $line->origin->place,
                $line->cuts->washed,
                $line->look->colours,
            ],
        );
        self::assertSame(['herons'], $line->reading->unread);
        self::assertSame('Lawn one-way herons, green', $line->name);
        self::assertNotSame(
            [],
            array_filter($line->reading->chips, static fn (Chip $chip): bool => 'colour' === $chip->kind && $chip->unsure),
        );
        $rib = $this->read('40cm rib knit black remnant, on order');
        self::assertSame(
            [Structure::Knit, 'remnant', true],
            [$rib->cloth(new Assumptions(), new \DateTimeImmutable())->material->structure, $rib->cuts->label, $rib->cuts->ordered],
        );
        self::assertSame([null, PrintKind::Check], [$this->read('velvet')->look->direction, $this->read('gingham poplin')->look->print]);
        self::assertTrue($this->read('velvet')->cloth(new Assumptions(), new \DateTimeImmutable())->isOneWay(), 'its type says so');
        self::assertSame(Knowledge::Guess, $this->read('2m linen? 140cm')->material->fibres->knowledge);
        self::assertSame(
            [136, 'heavy'],
            [$this->read('4oz canvas')->material->weight?->grams, $this->read('heavy canvas')->material->weight?->class->value],
        );
        self::assertSame(320_000, $this->read('2m viscose 140cm repeat 32cm')->look->repeat?->micrometres);
    }

    /** @param array<string, mixed> $right */
    #[DataProvider('states')]
    public function testWhatItIsAndWasIsReadAsItIsSaid(string $text, array $right): void
    {
        $line = $this->read($text);
        $said = [
            'washed' => $line->cuts->washed,
            'ordered' => $line->cuts->ordered,
            'more' => $line->origin->more,
            'opacity' => $line->material->feel->opacity?->value,
            'stretch' => $line->material->feel->across,
            'from' => $line->origin->from,
            'care' => $line->material->care?->value,
            'direction' => $line->look->direction?->value,
            'lengths' => array_map(
                static fn (Length $length): float|int => $length->millimetres(),
                array_filter([$line->cuts->length, ...$line->cuts->others], static fn (?Length $length): bool => null !== $length),
            ),
        ];
        self::assertEquals($right, array_intersect_key($said, $right));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function states(): iterable
    {
        foreach (
            [
                '2m linen, never washed',
                'linen 2m to be washed',
                'not yet washed linen',
                'unwashed linen',
                'linen, needs washing',
                'linen, wash before use',
            ] as $text
        ) {
            yield $text => [$text, ['washed' => false]];
        }
        yield 'washed' => ['2m linen, washed and dried', ['washed' => true]];
        yield 'not ordered' => ['2m linen, not ordered', ['ordered' => false]];
        yield 'on order' => ['2m linen on order', ['ordered' => true]];
        yield 'last of it' => ['2m linen, last of it', ['more' => false]];
        yield 'no more' => ['2m linen, no more', ['more' => false]];
        yield 'deadstock' => ['deadstock linen', ['more' => false]];
        yield 'nobody says' => ['linen', ['more' => null, 'direction' => null, 'care' => null]];
        yield 'slightly see through' => ['voile slightly see through', ['opacity' => 'slightly sheer']];
        yield 'see through' => ['voile, see through', ['opacity' => 'sheer']];
        yield 'no stretch' => ['denim no stretch', ['stretch' => 0]];
        yield 'where from' => ['2m lawn from the quay market', ['from' => 'from the quay market']];
        yield 'a gift' => ['lawn, gift', ['from' => 'gift']];
        yield 'dry clean only' => ['wool suiting, dry clean only', ['care' => 'dry clean only', 'washed' => false]];
        yield 'two cuts' => ['1.80m and 1.65m tweed', ['lengths' => [1800, 1650]]];
        yield 'no nap' => ['corduroy, no nap', ['direction' => 'none']];
    }

    public function testALineBecomesAClothWithItsCuts(): void
    {
        $cloth = $this->read('3 x 0.5m swim knit, 150cm, ordered')->cloth(new Assumptions(), new \DateTimeImmutable('2026-11-25'));
        self::assertCount(3, $cloth->cuts);
        self::assertSame(
            [500_000, CutState::Ordered, 1_500_000],
            [$cloth->cuts[0]->length?->micrometres, $cloth->cuts[0]->state, $cloth->width?->full->micrometres],
        );
        self::assertCount(2, $this->read('blue cotton')->missing());
        self::assertSame('?', $this->read('?')->name);
    }

    public function testOfAVeryLongLineTheBeginningIsReadAndMoreOfItIsKept(): void
    {
        $line = '2 m navy twill 140 cm wide '.str_repeat('1.5m word ', 20_000);
        $start = microtime(true);
        $read = (new HaulReader())->read($line, System::Metric);
        self::assertLessThan(1.0, microtime(true) - $start);
        self::assertSame(mb_substr($line, 0, 10_000), $read->text);
        self::assertSame(1400, (int) $read->width?->millimetres());
        self::assertStringContainsString(
            'only the first 400 characters are read',
            implode('; ', array_map(strval(...), $read->reading->doubts)),
        );
    }

    public function testABareLengthIsInTheUnitOfTheWorkroom(): void
    {
        self::assertSame(
            [1_800_000, 1_645_920],
            [
                $this->read('1.8 cotton poplin 140cm')->cuts->length?->micrometres,
                (new HaulReader())->read('1.8 cotton poplin 140cm', System::Imperial)->cuts->length?->micrometres,
            ],
        );
    }

    private function read(string $text): HaulLine
    {
        return (new HaulReader())->read($text, System::Metric);
    }

    private function number(?Length $length): string
    {
        return null === $length ? '-' : (string) $length->millimetres();
    }
}
