<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Need\Pieced;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\PutTogether;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;

/** What is cut from the cloth of one claim. */
final readonly class Cutting
{
    /** @param Version $version with the pieces that come from this cloth alone, where they are not just those of its role */
    private function __construct(public Version $version, public ?Pieced $pieced = null)
    {
    }

    /** @return list<Piece> of what was laid for a project, as its plan is now; none where nothing of the kind is planned */
    public static function laid(Project $project, LaidGarment $garment): array
    {
        $lines = array_merge(...array_map(static fn (Project $way): array => $way->lines(), $project->ways()));
        foreach ($lines as $line) {
            foreach ($line->current->claims as $claim) {
                if (
                    $claim->isFor($garment->role, $garment->pieces)
                    && $line->largestSize() === $garment->size
                    && $line->current->version?->id === $garment->version
                ) {
                    return $line->cutting($claim)?->version->pieces->in($garment->size, $garment->role) ?? [];
                }
            }
        }

        return [];
    }

    /**
     * @param list<Part>  $parts  of the garment
     * @param list<Claim> $claims all of the garment
     */
    public static function of(Version $version, string $size, array $parts, Claim $claim, array $claims): self
    {
        $elsewhere = array_merge(...array_map(static fn (Claim $other): array => $other->pieces, $claims));
        if ([] === $parts && [] === $elsewhere && [] === $claim->pieces) {
            return new self($version);
        }
        $whole = new PutTogether($version, $size, $parts);
        $pieces = $whole->from($claim->role, $claim->pieces, $elsewhere);

        return new self($whole->version($pieces, $claim->role), new Pieced($version, $pieces, $parts, $claim->pieces));
    }
}
