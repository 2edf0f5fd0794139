<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** A length together with how it is to be shown. */
final readonly class Figure
{
    private function __construct(public Length $length, public Shown $shown)
    {
    }

    /** What is there, spare or left: rounded down. */
    public static function owned(Length $length): self
    {
        return new self($length, Shown::Owned);
    }

    /** What is needed, missing or asked for: rounded up. */
    public static function needed(Length $length): self
    {
        return new self($length, Shown::Needed);
    }

    /** A step of the arithmetic: shown finely enough to follow with a pencil. */
    public static function exact(Length $length): self
    {
        return new self($length, Shown::Exact);
    }

    /** A width of cloth or another small measure: cm or inches. */
    public static function width(Length $length): self
    {
        return new self($length, Shown::Width);
    }

    /** The size of a button or the length of a zip: mm below 10 cm, else as a measure of a body. */
    public static function notion(Length $length): self
    {
        return new self($length, Shown::Notion);
    }

    /** A measure of a body: cm to a millimetre, or inches to the nearest eighth. */
    public static function body(Length $length): self
    {
        return new self($length, Shown::Body);
    }
}
