<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

/**
 * What may be kept of a text: well-formed UTF-8 without control characters. Line feed and tab are kept, and the two
 * joiners that hold together emoji and some scripts.
 */
final readonly class Plain
{
    private const OTHERS = '/(?![\n\t\x{200C}\x{200D}])[\p{Cc}\p{Cf}]/u';

    /** Whether it can be stored. */
    public static function is(string $text): bool
    {
        return 0 === preg_match('/[^\P{Cc}\n\t]/u', $text);
    }

    /** @throws \UnexpectedValueException when it cannot be stored */
    public static function guard(string $text): void
    {
        if (!self::is($text)) {
            $shown = json_encode($text, \JSON_INVALID_UTF8_SUBSTITUTE);
            throw new \UnexpectedValueException('A text that is not UTF-8, or holds control characters, is never stored: '.$shown);
        }
    }

    public static function of(string $text): string
    {
        return (string) preg_replace(self::OTHERS, '', str_replace(["\r\n", "\r"], "\n", mb_scrub($text, 'UTF-8')));
    }

    /**
     * Every text in a request's fields, and their names.
     *
     * @param array<mixed> $fields
     *
     * @return array<int|string, mixed>
     */
    public static function all(array $fields): array
    {
        $plain = [];
        foreach ($fields as $name => $value) {
            $plain[\is_string($name) ? self::of($name) : $name] = match (true) {
                \is_string($value) => self::of($value),
                \is_array($value) => self::all($value),
                default => $value,
            };
        }

        return $plain;
    }
}
