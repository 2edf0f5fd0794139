<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Reading;

use Octavum\Core\Haul\HaulLine;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Notion\NotionReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people write, labelled by hand before the readers knew it: each field is right, or it is asked about. */
final class BlindLinesTest extends TestCase
{
    /** @param array<string, mixed> $says */
    #[DataProvider('haul')]
    public function testALineOfCloth(string $line, array $says): void
    {
        $read = (new HaulReader())->read($line, System::Metric);
        $this->check($read, $says + ['count' => 1, 'length' => null, 'width' => null, 'others' => [], 'grams' => null]);
    }

    /** @param array<string, mixed> $says */
    #[DataProvider('shop')]
    public function testAClothInAShop(string $line, array $says): void
    {
        $read = (new HaulReader())->readInShop($line, System::Metric);
        $this->check($read, $says + ['count' => 1, 'length' => null, 'width' => null]);
    }

    /** @param array<string, mixed> $says */
    #[DataProvider('notions')]
    public function testANotion(string $line, array $says): void
    {
        $notion = (new NotionReader())->read($line);
        self::assertSame(
            $says + ['kind' => 'other', 'measure' => null, 'count' => null, 'length' => null],
            array_replace($says, [
                'kind' => $notion->kind->value,
                'measure' => self::millimetres($notion->measure),
                'count' => $notion->count,
                'length' => self::millimetres($notion->length),
            ]),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function haul(): iterable
    {
        yield from self::labelled('blind-haul.php');
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function shop(): iterable
    {
        yield from self::labelled('blind-shop.php');
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function notions(): iterable
    {
        yield from self::labelled('blind-notions.php');
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    private static function labelled(string $file): iterable
    {
        /** @var array<string, array<string, mixed>> $lines */
        $lines = require __DIR__.'/'.$file;
        foreach ($lines as $line => $says) {
            yield $line => [$line, $says];
        }
    }

    /**
     * @param array<string, mixed> $says
     */
    private function check(HaulLine $read, array $says): void
    {
        $line = $read->text;
        $found = [
            'count' => $read->cuts->count,
            'length' => self::millimetres($read->cuts->length),
            'width' => self::millimetres($read->width),
            'others' => array_map(self::millimetres(...), $read->cuts->others),
            'fibres' => $read->material->fibres->shares,
            'grams' => $read->material->weight?->grams,
            'price' => $read->origin->price,
            'place' => $read->origin->place,
            'from' => $read->origin->from,
            'washed' => $read->cuts->washed,
            'ordered' => $read->cuts->ordered,
        ];
        foreach ($says as $field => $value) {
            // what is not right is asked about, and nothing is kept in its place
            $isAsked = null === $found[$field] && [] !== $read->reading->doubts;
            self::assertTrue(self::sorted($value) === self::sorted($found[$field]) || $isAsked, \sprintf(
                '%s: %s is %s',
                $line,
                $field,
                json_encode($found[$field], \JSON_THROW_ON_ERROR),
            ));
        }
    }

    private static function sorted(mixed $value): mixed
    {
        if (\is_array($value) && !array_is_list($value)) {
            ksort($value);
        }

        return $value;
    }

    private static function millimetres(?Length $length): ?int
    {
        return null === $length ? null : (int) round($length->micrometres / 1000);
    }
}
