<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Input\Entry;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The pieces of one version: read, joined and stored. */
final readonly class VersionPieces
{
    public function __construct(
        private PatternMapper $mapper,
        private ChangeLog $changes,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    /** @return list<Piece> */
    public function list(VersionRecord $version): array
    {
        return $this->mapper->version($version)->pieces->all();
    }

    /**
     * @param list<Piece>           $pieces in the place of those there are
     * @param string                $says   of the change
     * @param array<string, string> $with
     */
    public function store(VersionRecord $version, array $pieces, string $says, array $with): void
    {
        $stored = $this->mapper->pieceSet($version);
        $this->changes->commit(
            [$stored],
            fn () => $this->mapper->storePieces(PieceSet::of($pieces, $version->sizes), $version, $stored),
            new Notice($says, $with, $this->addresses->generate('pieces', ['id' => $version->id])),
        );
    }

    /**
     * New shapes join the piece of the same name, in the place of what it had for those sizes.
     *
     * @param list<Piece> $new
     * @param string      $says of {count} pieces
     */
    public function join(VersionRecord $version, array $new, string $says): void
    {
        $pieces = $this->list($version);
        foreach ($new as $piece) {
            $at = null;
            foreach ($pieces as $i => $known) {
                $at = mb_strtolower($known->name) === mb_strtolower($piece->name) ? $i : $at;
            }
            if (null === $at) {
                $pieces[] = $piece;
            } else {
                $pieces[$at] = $pieces[$at]->with($piece->shapes);
            }
        }

        $this->store($version, array_values($pieces), $says, ['count' => (string) \count($new)]);
    }

    /** @param list<string> $new names of pieces that join those of the version */
    public function checkRoom(VersionRecord $version, array $new, Entry $entry, string $field): void
    {
        $names = array_column($this->list($version), 'name');
        $count = \count(array_unique(array_map(mb_strtolower(...), [...$names, ...$new])));
        if ($count > PieceCodec::MOST_PIECES) {
            $entry->fault($field, new Sentence(
                'The version would have {count} pieces; it holds {most}. Take some out, or leave some of these out.',
                ['count' => $count, 'most' => PieceCodec::MOST_PIECES],
            ));
        }
    }

    /** @param list<string> $sizes each must be in the version's table, where it has one */
    public function checkSizes(array $sizes, VersionRecord $version, Entry $entry, string $field): void
    {
        foreach ($sizes as $size) {
            if ([] !== $version->sizes && !\in_array($size, $version->sizes, true)) {
                $entry->fault($field, new Sentence(
                    'Size {size} is not in the table of this version: it has {sizes}.',
                    ['size' => $size, 'sizes' => implode(', ', $version->sizes)],
                ));
            }
        }
    }
}
