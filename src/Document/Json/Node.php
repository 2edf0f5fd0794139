<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;

/**
 * A place in a JSON document. Each reading method returns the value found, or notes a fault with its place and returns
 * something harmless, so that one pass finds every fault. Longer than other files, since every kind of value is read here,
 * and their faults read alike.
 */
final readonly class Node
{
    private const LONGEST_TEXT = 10_000;

    public function __construct(private mixed $value, private Faults $faults, private ?self $parent = null, private string $key = '')
    {
    }

    /**
     * What the database holds, which was sound when it was written: a fault in it is thrown.
     *
     * @param string $row names it, such as "cloth 01J…"
     */
    public static function stored(mixed $value, string $row): self
    {
        return new self($value, new Faults($row));
    }

    /** What a form holds, of which a fault leaves something harmless. */
    public static function typed(mixed $value): self
    {
        return new self($value, new Faults());
    }

    public function at(string $key): self
    {
        return new self(\is_array($this->value) ? $this->value[$key] ?? null : null, $this->faults, $this, $key);
    }

    public function isThere(): bool
    {
        return null !== $this->value;
    }

    public function fault(string $message, string|int|Sentence ...$with): void
    {
        $named = [];
        foreach ($with as $name => $value) {
            $named[(string) $name] = $value;
        }
        $this->faults->add($this->pointer(), new Sentence($message, $named));
    }

    /**
     * An object that holds no other fields than these.
     *
     * @param list<string> $fields
     */
    public function object(array $fields): bool
    {
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->fault('An object is expected here, found {found}.', found: $this->found());

            return false;
        }
        foreach (array_diff(array_keys($this->value), $fields) as $unknown) {
            $this->at((string) $unknown)->fault(
                'There is no field “{field}” here; known are {fields}.',
                field: $this->short((string) $unknown),
                fields: implode(', ', $fields),
            );
        }

        return true;
    }

    /**
     * @param int $most of a document or a form; what is stored is read however long it grew
     *
     * @return list<self>
     */
    public function items(int $most = 100_000): array
    {
        if (null === $this->value) {
            return [];
        }
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            $this->fault('A list is expected here, found {found}.', found: $this->found());

            return [];
        }
        if (\count($this->value) > $most && !$this->faults->isOfRow()) {
            $this->fault('{count} entries are more than the {most} that can be kept here.', count: \count($this->value), most: $most);

            return [];
        }

        return array_map(fn (int $i): self => $this->at((string) $i), array_keys($this->value));
    }

    /** @return list<string> of the fields of an object, which may be numbers to PHP */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->map()));
    }

    /** @return array<string, mixed> */
    public function map(): array
    {
        if (null === $this->value) {
            return [];
        }
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            $this->fault('An object is expected here, found {found}.', found: $this->found());

            return [];
        }
        $map = [];
        foreach ($this->value as $key => $value) {
            $map[(string) $key] = $value;
        }

        return $map;
    }

    public function scalar(): string|int|null
    {
        return \is_string($this->value) || \is_int($this->value) ? $this->value : null;
    }

    /** As #rrggbb; null when it is not there. */
    public function colour(): ?string
    {
        if (null === $this->value) {
            return null;
        }
        $colour = mb_strtolower($this->text(7));
        if (1 !== preg_match('/^#[0-9a-f]{6}$/D', $colour)) {
            $this->fault('A colour is written such as #27405e, found {found}.', found: $this->found());
        }

        return $colour;
    }

    public function text(int $most = self::LONGEST_TEXT): string
    {
        if (null === $this->value) {
            return '';
        }
        if (!\is_string($this->value)) {
            $this->fault('A text is expected here, found {found}.', found: $this->found());

            return '';
        }
        if (mb_strlen($this->value) > $most) {
            $this->fault('This text has {count} characters; {most} can be kept here.', count: mb_strlen($this->value), most: $most);
        }
        $text = str_replace("\r\n", "\n", $this->value);
        if (!Plain::is($text)) {
            $this->fault('This text holds control characters, which cannot be kept: take them out.');
        }

        return $text;
    }

    public function name(int $most = 120): string
    {
        $text = $this->text($most);
        if ('' === trim($text)) {
            $this->fault('A name is missing here.');
        }

        return $text;
    }

    public function optionalText(int $most): ?string
    {
        return null === $this->value ? null : $this->text($most);
    }

    /**
     * One of what a document holds, by its id.
     *
     * @template T
     *
     * @param array<string, T> $known by '#' and id
     *
     * @return ?T null, with a fault, when there is none of that id
     */
    public function named(array $known, string $kind): mixed
    {
        $id = $this->optionalText(60);
        if (null === $id) {
            return null;
        }
        if (!isset($known['#'.$id])) {
            $this->fault('There is no {kind} with the id “{id}” in this document.', kind: $kind, id: $id);
        }

        return $known['#'.$id] ?? null;
    }

    /** @return list<string> */
    public function texts(int $most): array
    {
        return array_map(static fn (self $item): string => $item->name($most), $this->items());
    }

    public function integer(int $least, int $most): ?int
    {
        if (null === $this->value) {
            return null;
        }
        if (!\is_int($this->value) || $this->value < $least || $this->value > $most) {
            $this->fault(
                'A whole number from {least} to {most} is expected here, found {found}.',
                least: $least,
                most: $most,
                found: $this->found(),
            );

            return null;
        }

        return $this->value;
    }

    public function requiredInteger(int $least, int $most): int
    {
        if (null === $this->value) {
            $this->fault('A whole number from {least} to {most} is missing here.', least: $least, most: $most);
        }

        return $this->integer($least, $most) ?? $least;
    }

    public function number(): float|int
    {
        if (\is_int($this->value) || \is_float($this->value)) {
            return $this->value;
        }
        $this->fault('A number is expected here, found {found}.', found: $this->found());

        return 0;
    }

    /** What is less or more is refused, and the least stands in its place. */
    public function numberWithin(float $least, float $most): float
    {
        $value = (float) $this->number();
        if ($value < $least || $value > $most) {
            $this->fault(
                'A number from {least} to {most} is expected here, found {found}.',
                least: (string) $least,
                most: (string) $most,
                found: $this->found(),
            );

            return $least;
        }

        return $value;
    }

    public function boolean(): bool
    {
        return $this->optionalBoolean() ?? false;
    }

    public function optionalBoolean(): ?bool
    {
        if (null !== $this->value && !\is_bool($this->value)) {
            $this->fault('true or false is expected here, found {found}.', found: $this->found());

            return null;
        }

        return $this->value;
    }

    /** A length in millimetres, above zero. */
    public function length(): ?Length
    {
        if (null === $this->value) {
            return null;
        }
        if (!\is_int($this->value) && !\is_float($this->value)) {
            $this->fault('A length is a number of millimetres, found {found}.', found: $this->found());

            return null;
        }
        if ($this->value <= 0 || $this->value * 1000 > Length::LONGEST) {
            $this->fault('A length of {found} mm cannot be: it must be above 0 and at most 500 m.', found: (string) $this->value);

            return null;
        }

        return Length::ofMillimetres($this->value);
    }

    /** A length in millimetres, or nought where nothing is left. */
    public function lengthLeft(): ?Length
    {
        return 0 === $this->value || 0.0 === $this->value ? Length::zero() : $this->length();
    }

    public function requiredLength(): Length
    {
        if (null === $this->value) {
            $this->fault('A length in millimetres is missing here.');
        }

        return $this->length() ?? Length::ofMillimetres(1);
    }

    /** Millimetres by which something grows, or shrinks where they are below nought. */
    public function requiredChange(): Length
    {
        if (\is_int($this->value) || \is_float($this->value)) {
            $positive = new self(abs($this->value), $this->faults, $this->parent, $this->key);
            $length = $positive->requiredLength();

            return $this->value < 0 ? $length->negated() : $length;
        }

        return $this->requiredLength();
    }

    public function date(): ?\DateTimeImmutable
    {
        if (null === $this->value) {
            return null;
        }
        $date =
            \is_string($this->value) && 1 === preg_match('/^[12]\d{3}-\d\d-\d\d$/', $this->value)
                ? \DateTimeImmutable::createFromFormat('!Y-m-d', $this->value)
                : false;
        if (false === $date || $date->format('Y-m-d') !== $this->value) {
            $this->fault('A day such as 2027-03-01 is expected here, found {found}.', found: $this->found());

            return null;
        }

        return $date;
    }

    public function requiredDate(): \DateTimeImmutable
    {
        if (null === $this->value) {
            $this->fault('A day such as 2027-03-01 is missing here.');
        }

        return $this->date() ?? new \DateTimeImmutable('@0');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum with string values
     *
     * @return ?T
     */
    public function choice(string $enum): ?\BackedEnum
    {
        if (null === $this->value) {
            return null;
        }
        $case = \is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if (null === $case) {
            $this->fault(
                '{found} is not possible here; choose one of {choices}.',
                found: $this->found(),
                choices: implode(', ', array_column($enum::cases(), 'value')),
            );
        }

        return $case;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum with string values
     *
     * @return list<T> those of a list that are possible, each other one a fault
     */
    public function choices(string $enum, int $most): array
    {
        return array_values(array_filter(array_map(static fn (self $item): ?\BackedEnum => $item->choice($enum), $this->items($most))));
    }

    /**
     * What the core makes of it, or null with the core's sentence as the fault.
     *
     * @template T
     *
     * @param \Closure(): T $make
     *
     * @return ?T
     */
    public function attempt(\Closure $make): mixed
    {
        try {
            return $make();
        } catch (Unreadable $unreadable) {
            $this->fault('{fault}', fault: $unreadable->sentence);

            return null;
        }
    }

    private function pointer(): string
    {
        return null === $this->parent ? '' : $this->parent->pointer().'/'.strtr($this->key, ['~' => '~0', '/' => '~1']);
    }

    /** The value found, for a sentence. */
    public function found(): string
    {
        return match (true) {
            \is_array($this->value) => array_is_list($this->value) ? 'a list' : 'an object',
            \is_string($this->value) => '“'.$this->short($this->value).'”',
            null === $this->value => 'nothing',
            default => (string) json_encode($this->value),
        };
    }

    private function short(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
