<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/**
 * The starting figures of the trade that a sewist's own replace: squaring, selvage, tolerances, margins.
 * Source: docs/rules.md.
 */
final readonly class Assumptions
{
    public Length $squaring;
    public Length $selvage;
    /** By which a row of a table may be wider than the cloth and still be its row: 44/45 in, 110 to 115 cm are one class. */
    public Length $rowTolerance;
    public Length $largeWidthDifference;
    public Length $oneWayLeast;
    public Percent $oneWayShare;
    public Length $fitsLeast;
    public Percent $fitsShare;

    /**
     * @param ?Length  $squaring     lost at each raw end when it is straightened, 3 cm
     * @param ?Length  $selvage      each side, where the cloth does not say, 1 cm
     * @param ?Length  $fitsLeast    spare below which a cloth is only a tight fit, 10 cm
     * @param Matching $matching     of a print, where a project does not say
     * @param ?Length  $counterLeast the least that shops cut, such as 1 m; null for none
     */
    public function __construct(
        ?Length $squaring = null,
        ?Length $selvage = null,
        ?Length $fitsLeast = null,
        public Matching $matching = Matching::MainSeams,
        public ?Length $counterLeast = null,
    ) {
        $this->squaring = $squaring ?? Length::of('3', Unit::Centimetre);
        $this->selvage = $selvage ?? Length::of('1', Unit::Centimetre);
        $this->fitsLeast = $fitsLeast ?? Length::of('10', Unit::Centimetre);
        $this->fitsShare = Percent::of(5);
        $this->rowTolerance = Length::of('51', Unit::Millimetre);
        $this->largeWidthDifference = Length::of('25', Unit::Centimetre);
        $this->oneWayShare = Percent::of(15);
        $this->oneWayLeast = Length::of('25', Unit::Centimetre);
    }
}
