<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Piece\Piece;

/** What a garment claims once some of its pieces come from another cloth than before. */
final readonly class PieceAssigner
{
    /** @param array<string, Piece> $pieces all of the garment, by name */
    public function __construct(private array $pieces)
    {
    }

    /**
     * What had them by name has them no longer, and is gone when it has none left. Back on the cloth of their role they need
     * no name; otherwise they go to what is from the same cut already and not cut out yet, or to a claim of their own.
     *
     * @param list<Claim>  $claims as they are
     * @param list<string> $names
     * @param Claim        $to     one of them, or a new one
     *
     * @return list<Claim>
     */
    public function assign(array $claims, array $names, Claim $to): array
    {
        $names = array_values(array_filter($names, fn (string $name): bool => isset($this->pieces[$name])));
        $left = [];
        foreach ($claims as $claim) {
            $kept = array_values(array_diff($claim->pieces, $names));
            if ([] === $claim->pieces || [] !== $kept) {
                $left[] = $claim->cutting($kept);
            }
        }
        $isWhole = [] === $to->pieces && '' !== $to->id && \in_array($to->id, array_column($claims, 'id'), true);
        if ($isWhole) {
            $names = array_values(array_filter($names, fn (string $name): bool => $this->pieces[$name]->role !== $to->role));
        }
        if ([] === $names) {
            return $left;
        }
        foreach ($left as $i => $claim) {
            if ([] !== $claim->pieces && !$claim->cutOut && $claim->isFromWhere($to)) {
                $left[$i] = $claim->cutting([...$claim->pieces, ...$names]);

                return $left;
            }
        }

        return [...$left, new Claim('', $this->pieces[$names[0]]->role, $to->cloth, $to->cut, $to->wish, pieces: $names)];
    }
}
