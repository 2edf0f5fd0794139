<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;

/** What a garment may take while nobody knows: shown beside a verdict, never one. Source: docs/rules.md. */
final readonly class Guess
{
    public function __construct(public Length $amount, public NeedSource $way)
    {
    }

    public function margin(): Length
    {
        return Percent::of($this->way->trust() ?? 0)->shareOf($this->amount, Rounding::Up);
    }

    public function sentence(): Sentence
    {
        return NeedSource::QuickLay === $this->way
            ? new Sentence('Laid in a moment, its pieces go on {about}: lay them on the table to settle it.', [
                'about' => Figure::needed($this->amount),
            ])
            : new Sentence('About {about}, give or take {margin}: enter the table or the pieces.', [
                'about' => Figure::needed($this->amount),
                'margin' => Figure::needed($this->margin()),
            ]);
    }
}
