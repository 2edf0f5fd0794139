<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;

/** Where pieces of two patterns meet. */
enum Seam: string
{
    case Neckline = 'neckline';
    case Armhole = 'armhole';
    case Waist = 'waist';
    case SleeveHem = 'sleeve hem';

    /** What is to be compared, where no lengths are known. */
    public function sentence(): Sentence
    {
        return new Sentence(match ($this) {
            self::Neckline => 'compare the neckline with the edge that is sewn to it',
            self::Armhole => 'compare the armhole with the sleeve cap',
            self::Waist => 'compare both edges at the waist',
            self::SleeveHem => 'compare the end of the sleeve with the cuff',
        });
    }

    /** How long the two edges are that meet: of the body and of what is sewn to it. */
    public function edges(Figure $body, Figure $sewn): Sentence
    {
        return new Sentence(match ($this) {
            self::Neckline => 'neckline {body}, collar {sewn}',
            self::Armhole => 'armhole {body}, sleeve cap {sewn}',
            self::Waist => 'waist above {body}, below {sewn}',
            self::SleeveHem => 'end of the sleeve {body}, cuff {sewn}',
        }, ['body' => $body, 'sewn' => $sewn]);
    }

    /** Each of them is there twice, a left and a right, and is spoken of once. */
    public function isPair(): bool
    {
        return self::Armhole === $this || self::SleeveHem === $this;
    }
}
