<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Values nobody means, and documents with something broken in them; the same seed gives the same ones. */
final readonly class Odd
{
    private const TEXTS = [
        '',
        ' ',
        '0',
        '-1',
        '1e999',
        '99999999999999999999',
        '1/0',
        'NaN',
        'null',
        "\xff\xfe",
        "a\0b",
        "\x1b[31m",
        '{x',
        '{count, plural, one {',
        "'",
        '"><script>alert(1)</script>',
        '../../../etc/passwd',
        '%00',
        '%s%n',
        '🦆👩‍👩‍👧',
        "\u{202e}olleh",
        '½ gross of hooks',
        '£2 zip',
        '44/45"',
        '2m40',
        '1 5/8 yd',
        '9999999999yd 9999999999ft',
        '2026-13-45',
        '0000-00-00',
        '=1+1',
        '${7*7}',
        '{{7*7}}',
        'true',
        '[]',
        '{}',
        '00000000000000000000000000',
        "a\r\nSet-Cookie: x=y",
        '－１',
        '1,4 m',
        '1.8m + 1.65m',
    ];
    private const VALUES = [null, true, -1, 0, 1e308, -1e308, \PHP_INT_MAX, 0.1, '', 'x', [], [[]], ['a' => 1], '2027-02-30'];

    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @phpstan-impure */
    public function number(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $list
     *
     * @return T
     */
    public function pick(array $list): mixed
    {
        return $list[$this->random->getInt(0, \count($list) - 1)];
    }

    public function text(): string
    {
        return match ($this->number(0, 9)) {
            0 => str_repeat($this->pick(self::TEXTS).' ', 300),
            1 => str_repeat('9', $this->number(1, 400)),
            2 => $this->random->getBytes(max(1, $this->number(1, 40))),
            default => $this->pick(self::TEXTS),
        };
    }

    /** Bytes with a few cut out, doubled, or changed. */
    public function bytes(string $bytes): string
    {
        for ($i = $this->number(1, 4); $i > 0; --$i) {
            $length = \strlen($bytes);
            $at = $this->number(0, max(0, $length - 1));
            $span = min($length - $at, 2 ** $this->number(0, 12));
            $bytes = match ($this->number(0, 4)) {
                0 => substr($bytes, 0, $at).substr($bytes, $at + $span),
                1 => substr($bytes, 0, $at).substr($bytes, $at, $span).substr($bytes, $at),
                2 => substr($bytes, 0, $at),
                3 => substr($bytes, 0, $at).$this->text().substr($bytes, $at),
                default => $length > 0 ? substr_replace($bytes, \chr($this->number(0, 255)), $at, 1) : $bytes,
            };
        }

        return $bytes;
    }

    /**
     * A document with a few of its values changed for others.
     *
     * @param array<mixed> $document
     */
    public function document(array $document): string
    {
        for ($i = $this->number(1, 3); $i > 0; --$i) {
            $this->change($document);
        }

        return (string) json_encode($document, \JSON_INVALID_UTF8_SUBSTITUTE | \JSON_PARTIAL_OUTPUT_ON_ERROR);
    }

    /** @param array<mixed> $node */
    private function change(array &$node): void
    {
        $key = [] === $node ? null : $this->pick(array_keys($node));
        if (null === $key) {
            $node['odd'] = $this->text();
        } elseif (\is_array($node[$key]) && [] !== $node[$key] && 0 !== $this->number(0, 9)) {
            $this->change($node[$key]);
        } elseif (0 === $this->number(0, 5)) {
            unset($node[$key]);
        } elseif (0 === $this->number(0, 5)) {
            $node[] = $node[$key];
        } else {
            $node[$key] = 0 === $this->number(0, 1) ? $this->text() : $this->pick(self::VALUES);
        }
    }
}
