<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\PatternLine\SewingTime;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\DayReader;
use Octavum\Document\Json\Plain;
use Symfony\Component\HttpFoundation\Response;

/**
 * What was typed into a form, read field by field. A field that cannot be read gives a sentence and something harmless,
 * so that one pass finds every fault; what was typed stays as it is, to be shown again.
 *
 * A field in a row of a repeated part is named "part.3.field".
 * Longer than other files, since every kind of field is read here, and their faults read alike.
 */
final class Entry
{
    /** A thousand hours: more is a slip of the hand. */
    public const MOST_MINUTES = 60_000;

    private const LONGEST_TEXT = 10_000;

    /** @var array<string, Sentence> by field */
    private array $faults = [];

    /** A draft is shown again as it was typed: nothing is saved of it, and it has no faults yet (assets/scripts/draft.js). */
    private const DRAFT = '_draft';

    private readonly DayReader $days;

    /**
     * @param array<mixed> $typed
     * @param ?DayReader   $days  of whoever typed it; without one days are read day first
     */
    public function __construct(public readonly array $typed, ?DayReader $days = null)
    {
        $this->days = $days ?? new DayReader(DateStyle::DayFirst, new \DateTimeImmutable('today'));
    }

    /** @param array<mixed> $typed instead of what was typed here */
    public function with(array $typed): self
    {
        return new self($typed, $this->days);
    }

    /** @return array<string, Sentence> by field */
    public function faults(): array
    {
        return $this->isDraft() ? [] : $this->faults;
    }

    public function isSound(): bool
    {
        return [] === $this->faults && !$this->isDraft();
    }

    private function isDraft(): bool
    {
        return isset($this->typed[self::DRAFT]);
    }

    /** Of the page that shows the form again: 200, 409 when it was changed elsewhere, or 422 when there is another fault. */
    public function status(): int
    {
        return match (true) {
            [] === $this->faults() => Response::HTTP_OK,
            isset($this->faults[Revision::FIELD]) => Response::HTTP_CONFLICT,
            default => Response::HTTP_UNPROCESSABLE_ENTITY,
        };
    }

    public function fault(string $field, Sentence $sentence): void
    {
        $this->faults[$field] ??= $sentence;
    }

    /** As typed, without white space at the ends; empty when the field is missing or is not a text. */
    public function raw(string $field): string
    {
        $value = $this->at($field);

        return \is_string($value) ? trim(Plain::of($value)) : '';
    }

    /** Whether the form sent this field, be it empty. */
    public function has(string $field): bool
    {
        return \is_string($this->at($field));
    }

    private function at(string $field): mixed
    {
        $value = $this->typed;
        foreach (explode('.', $field) as $key) {
            $value = \is_array($value) ? $value[$key] ?? null : null;
        }

        return $value;
    }

    /** @return list<string> the keys of a repeated part; a fault when it is repeated too often */
    public function rows(string $part, int $most = 500): array
    {
        $rows = $this->typed[$part] ?? [];
        $rows = \is_array($rows) ? array_keys($rows) : [];
        if (\count($rows) > $most) {
            $this->fault($part, new Sentence('{count} entries are more than the {most} that can be kept here. Take some out.', [
                'count' => \count($rows),
                'most' => $most,
            ]));
        }

        return array_map(strval(...), \array_slice($rows, 0, $most));
    }

    public function text(string $field, int $most = self::LONGEST_TEXT): string
    {
        $text = $this->raw($field);
        if (mb_strlen($text) > $most) {
            $this->fault(
                $field,
                new Sentence('This has {count} characters; {most} can be kept. Shorten it, or put the rest into the notes.', [
                    'count' => mb_strlen($text),
                    'most' => $most,
                ]),
            );
        }

        return mb_substr($text, 0, $most);
    }

    public function name(string $field, int $most = 120): string
    {
        if ('' === $this->raw($field)) {
            $this->fault($field, new Sentence('A name is missing: type a few words by which you would know it again.'));
        }

        return $this->text($field, $most);
    }

    /** @return list<string> separated by commas */
    public function texts(string $field, int $most): array
    {
        $texts = array_values(
            array_filter(
                array_map(trim(...), explode(',', strtr($this->raw($field), ";\n", ',,'))),
                static fn (string $text): bool => '' !== $text,
            ),
        );
        foreach ($texts as $text) {
            if (mb_strlen($text) > $most) {
                $this->fault(
                    $field,
                    new Sentence(
                        '“{text}” is longer than the {most} characters that can be kept: shorten it, and put commas between entries.',
                        ['text' => mb_substr($text, 0, 40).'…', 'most' => $most],
                    ),
                );
            }
        }

        return $texts;
    }

    public function length(string $field, Unit $default): ?Length
    {
        if ('' === $this->raw($field)) {
            return null;
        }

        return $this->attempt($field, fn (): Length => Length::parse($this->raw($field), $default));
    }

    /** A length that may be nought, where nothing is left. */
    public function lengthLeft(string $field, Unit $default): ?Length
    {
        return 1 === preg_match('/^(0+([.,]0+)?\s*[a-z"]{0,6}|nothing|none)$/i', $this->raw($field))
            ? Length::zero()
            : $this->length($field, $default);
    }

    /** A length that may be below nought, where it shortens something. */
    public function change(string $field, Unit $default): ?Length
    {
        $text = $this->raw($field);
        if (1 !== preg_match('/^[-−–]\s*/u', $text, $sign)) {
            return '' === $text ? null : $this->attempt($field, static fn (): Length => Length::parse(ltrim($text, '+ '), $default));
        }

        return $this->attempt($field, static fn (): Length => Length::parse(substr($text, \strlen($sign[0])), $default)->negated());
    }

    public function integer(string $field, int $least, int $most): ?int
    {
        $text = $this->raw($field);
        if ('' === $text) {
            return null;
        }
        if (1 !== preg_match('/^\d{1,9}$/', $text) || (int) $text < $least || (int) $text > $most) {
            $this->fault(
                $field,
                new Sentence('“{text}” cannot be: type a whole number from {least} to {most}.', [
                    'text' => mb_substr($text, 0, 40),
                    'least' => $least,
                    'most' => $most,
                ]),
            );

            return null;
        }

        return (int) $text;
    }

    public function percent(string $field): ?Percent
    {
        $text = preg_replace('/[\s%]+$/u', '', str_replace(',', '.', $this->raw($field))) ?? '';
        if ('' === $text) {
            return null;
        }
        if (1 !== preg_match('/^\d{1,3}(\.\d{1,2})?$/', $text)) {
            $this->fault(
                $field,
                new Sentence('“{text}” is not a share: type a number from 0 to 100, such as 4 or 2.5.', [
                    'text' => mb_substr($text, 0, 40),
                ]),
            );

            return null;
        }

        return $this->attempt($field, static fn (): Percent => Percent::of((float) $text));
    }

    /** Hours as "2", "1.5", "1 h 30" or "an evening", in minutes. */
    public function minutes(string $field, int $most): ?int
    {
        $text = str_replace([',', '½'], ['.', '.5'], mb_strtolower($this->raw($field)));
        if ('' === $text) {
            return null;
        }
        $minutes = self::minutesOf($text);
        if (null === $minutes || $minutes > $most) {
            $this->fault(
                $field,
                new Sentence('“{text}” cannot be read as hours up to {most}: type such as 2, 1.5, 1 h 30 or an evening.', [
                    'text' => mb_substr($this->raw($field), 0, 40),
                    'most' => intdiv($most, 60),
                ]),
            );

            return null;
        }

        return $minutes;
    }

    private static function minutesOf(string $text): ?int
    {
        $each = 1 === preg_match('/^(\d{1,2})\s(\w+)$/', $text, $part) ? SewingTime::minutes($part[2]) : null;
        if (isset($part[1]) && null !== $each) {
            return (int) $part[1] * $each;
        }
        if (1 === preg_match('/^(\d{0,4}(?:\.\d{1,2})?)\s*(?:h|hours?)?$/', $text, $part) && !\in_array($part[1], ['', '.'], true)) {
            return (int) round(60 * (float) $part[1]);
        }
        if (1 === preg_match('/^(\d{1,4})\s*(?:h|hours?|:)\s*(\d{1,2})\s*(?:m|min|minutes)?$/', $text, $part)) {
            return 60 * (int) $part[1] + (int) $part[2];
        }

        return 1 === preg_match('/^(\d{1,5})\s*(?:m|min|minutes)$/', $text, $part) ? (int) $part[1] : SewingTime::minutes($text);
    }

    /** @return list<string> the lines of a text that hold something */
    public static function lines(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $line): bool => '' !== $line));
    }

    /** As it would be typed, in hours. */
    public static function hours(?int $minutes): string
    {
        return null === $minutes ? '' : (string) round($minutes / 60, 2);
    }

    /** A price such as "12.80", in the smallest coin. */
    public function money(string $field): ?int
    {
        $text = preg_replace('/^[\s€£$]+|[\s€£$]+$/u', '', str_replace(',', '.', $this->raw($field))) ?? '';
        if ('' === $text) {
            return null;
        }
        if (1 !== preg_match('/^\d{1,5}(\.\d{1,2})?$/', $text)) {
            $this->fault(
                $field,
                new Sentence('“{text}” cannot be read as a price: type a number such as 12.80.', [
                    'text' => mb_substr($this->raw($field), 0, 40),
                ]),
            );

            return null;
        }

        return (int) round(100 * (float) $text);
    }

    /** As it would be typed. */
    public static function price(?int $coins): string
    {
        return null === $coins ? '' : \sprintf('%.2f', $coins / 100);
    }

    public function date(string $field, bool $past = false): ?\DateTimeImmutable
    {
        return '' === $this->raw($field)
            ? null
            : $this->attempt($field, fn (): \DateTimeImmutable => $this->days->read($this->raw($field), $past));
    }

    public function boolean(string $field): bool
    {
        return '' !== $this->raw($field);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum with string values
     *
     * @return ?T
     */
    public function choice(string $field, string $enum): ?\BackedEnum
    {
        $text = $this->raw($field);
        if ('' === $text) {
            return null;
        }
        $case = $enum::tryFrom($text);
        if (null === $case) {
            $this->fault(
                $field,
                new Sentence('“{text}” cannot be chosen here: take one from the list.', ['text' => mb_substr($text, 0, 40)]),
            );
        }

        return $case;
    }

    /**
     * What the core makes of it, or null with the core's sentence at the field.
     *
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return ?T
     */
    public function attempt(string $field, \Closure $make): mixed
    {
        try {
            return $make();
        } catch (Unreadable $unreadable) {
            $this->fault($field, $unreadable->sentence);

            return null;
        }
    }
}
