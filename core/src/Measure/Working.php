<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** The arithmetic behind a figure, in order, so that someone with a pencil can follow it. */
final readonly class Working
{
    /** @param list<WorkingLine> $lines */
    private function __construct(public array $lines)
    {
    }

    public static function empty(): self
    {
        return new self([]);
    }

    public function start(Sentence $label, Length $length, ?Source $source): self
    {
        return $this->line($label, Operation::Start, Figure::exact($length), $source);
    }

    /** A figure to compare others with, shown as it says. */
    public function given(Sentence $label, Figure $figure, Source $source): self
    {
        return $this->line($label, Operation::Start, $figure, $source);
    }

    public function less(Sentence $label, Length $length, ?Source $source): self
    {
        return $this->line($label, Operation::Less, Figure::exact($length), $source);
    }

    public function plus(Sentence $label, Length $length, ?Source $source): self
    {
        return $this->line($label, Operation::Plus, Figure::exact($length), $source);
    }

    public function result(Sentence $label, Figure $figure): self
    {
        return $this->line($label, Operation::Result, $figure, null);
    }

    public function then(self $other): self
    {
        return new self([...$this->lines, ...$other->lines]);
    }

    private function line(Sentence $label, Operation $operation, Figure $figure, ?Source $source): self
    {
        return new self([...$this->lines, new WorkingLine($label, $operation, $figure, $source)]);
    }
}
