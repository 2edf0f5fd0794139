<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Piece;

/** What is laid for a claim of a project on its cut, and how: one-way and matched as the plan has it, wherever it is laid. */
final readonly class ProjectLay
{
    public function __construct(private Project $project, private Claim $claim, private Assumptions $assumptions)
    {
    }

    /** @param list<string> $off pieces that come from other cloth, by name */
    public function rules(array $off = []): LayRules
    {
        $asked = $this->project->asked($this->claim, $this->assumptions);

        return new LayRules(
            $this->claim->cloth?->isOneWay() ?? true === $asked->boughtOneWay,
            match: null !== $asked->repeat,
            off: array_map(static fn (string $name): string => '0/'.$name, $off),
        );
    }

    /**
     * On a roll as wide as the cut, so that a lay that is too long for it can be made too.
     *
     * @param list<Piece>  $pieces
     * @param list<string> $off    pieces that come from other cloth, by name
     */
    public function setup(array $pieces, array $off = []): LaySetup
    {
        [$cloth, $cut] = [$this->claim->cloth, $this->claim->cut];
        $size = $this->project->largestSize();
        $version = $this->project->cutting($this->claim)?->version;
        $garment = new LaidGarment(
            $this->project->name,
            $this->project->id,
            $version?->id,
            role: $this->claim->role,
            size: $size,
            mark: $version?->pieces->mark($size, $off) ?? '',
            pieces: $this->claim->pieces,
        );
        $width = null === $cloth || null === $cut ? null : ToCut::of($cloth, $cut, $this->assumptions, laid: true)->width;
        $sheet = new LaidSheet($cloth, $cut, $width ?? Length::zero(), null, Length::zero());

        return new LaySetup([$sheet], [$garment], [$pieces], $this->rules($off), $this->assumptions);
    }
}
