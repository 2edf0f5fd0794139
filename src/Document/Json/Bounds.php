<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

/** What a page can take in of a document with the memory of a worker, 256 MB; the command takes more. */
final readonly class Bounds
{
    private const MOST_SIGNS = ['{' => 80_000, '[' => 400_000, ',' => 2_000_000];
    private const MOST_ROWS = 8_000;

    /**
     * Counted before anything is unpacked.
     *
     * @throws Refused
     */
    public static function ofText(string $json): void
    {
        foreach (self::MOST_SIGNS as $sign => $most) {
            substr_count($json, $sign) <= $most || throw self::tooMany();
        }
    }

    /** @throws Refused */
    public static function ofRows(Node $document): void
    {
        self::rows($document) <= self::MOST_ROWS || throw self::tooMany();
    }

    private static function rows(Node $document): int
    {
        $rows = 0;
        foreach (
            [
                'people' => null,
                'cloths' => 'cuts',
                'patterns' => 'versions',
                'seasons' => null,
                'projects' => 'options',
                'lays' => 'pieces',
                'notions' => null,
                'lists' => null,
                'overrules' => null,
            ] as $list => $parts
        ) {
            foreach ($document->at($list)->items() as $node) {
                $below = null === $parts ? [] : $node->at($parts)->items();
                $rows += 1 + \count($below) + \count($node->at('claims')->items());
                foreach ('options' === $parts ? $below : [] as $option) {
                    $rows += \count($option->at('claims')->items());
                }
            }
        }

        return $rows;
    }

    private static function tooMany(): Refused
    {
        return Refused::because(
            'This document holds more than a page can take in at once, some 8000 cuts, versions, projects and so on: import it on the machine that Octavum runs on, with bin/octavum import. Nothing has been changed.',
        );
    }
}
