<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/**
 * A sentence for the reader, not yet in their units or dialect: an ICU message in English and what goes into it.
 */
final readonly class Sentence implements \Stringable
{
    /** @param array<string, string|int|Figure|Percent|\DateTimeImmutable|self> $with */
    public function __construct(public string $message, public array $with = [])
    {
    }

    /** Plain and metric, for exceptions and tests; pages and commands translate instead. */
    public function __toString(): string
    {
        $words = [];
        $tape = new LengthFormatter(System::Metric);
        foreach ($this->with as $name => $value) {
            $words['{'.$name.'}'] = match (true) {
                $value instanceof Figure => $tape->write($value),
                $value instanceof \DateTimeImmutable => $value->format('Y-m-d'),
                default => (string) $value,
            };
        }

        return strtr($this->message, $words);
    }
}
