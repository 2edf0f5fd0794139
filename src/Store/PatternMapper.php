<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Body\Feature;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PieceSet;
use Octavum\Document\AlterationCodec;
use Octavum\Document\ChartCodec;
use Octavum\Document\Fields;
use Octavum\Document\Node;
use Octavum\Document\PatternCodec;
use Octavum\Document\PieceCodec;
use Octavum\Document\TableCodec;

/** Stored patterns and versions to the core's and back. */
final readonly class PatternMapper
{
    /** @param array<string, PieceSetRecord> $known by version */
    public function __construct(
        private PatternCodec $patterns,
        private TableCodec $tables,
        private ChartCodec $charts,
        private AlterationCodec $alterations,
        private PieceCodec $pieces,
        private EntityManagerInterface $entities,
        private array $known = [],
    ) {
    }

    /** With the pieces of all versions of an account, read at once. */
    public function withPieces(Account $account): self
    {
        /** @var list<PieceSetRecord> $sets */
        $sets = $this->entities
            ->createQuery('SELECT s FROM '.PieceSetRecord::class.' s JOIN s.version v JOIN v.pattern p WHERE p.account = :account')
            ->execute(['account' => $account]);
        $known = [];
        foreach ($sets as $set) {
            $known[$set->version->id] = $set;
        }

        return new self($this->patterns, $this->tables, $this->charts, $this->alterations, $this->pieces, $this->entities, $known);
    }

    public function pieceSet(VersionRecord $record): PieceSetRecord
    {
        return $this->known[$record->id]
            ?? $this->entities->getRepository(PieceSetRecord::class)->findOneBy(['version' => $record->id])
            ?? new PieceSetRecord($record);
    }

    /** @param ?PieceSetRecord $stored null for a version that has none yet */
    public function storePieces(PieceSet $pieces, VersionRecord $record, ?PieceSetRecord $stored = null): void
    {
        $record->marks = $pieces->marks;
        $record->widest = $pieces->widest;
        if ([] === $pieces->all() && null === $stored) {
            return;
        }
        $stored ??= new PieceSetRecord($record);
        $stored->pieces = $this->pieces->write($pieces->all());
        $this->entities->persist($stored);
    }

    /** Gives a version the marks of its pieces as they are stored now. */
    public function markPieces(PieceSetRecord $stored): void
    {
        $pieces = $this->pieces->read(Node::stored($stored->pieces, 'pieces of version '.$stored->version->id));
        $this->storePieces(PieceSet::of($pieces, $stored->version->sizes), $stored->version, $stored);
    }

    public function pattern(PatternRecord $record): Pattern
    {
        return new Pattern(
            $record->id,
            $record->title,
            $record->maker,
            $record->number,
            $record->otherNumbers,
            $record->garment,
            $record->format,
            $record->ownership,
            $record->onlyFor,
            $record->minutes,
            $record->place,
            $record->notes,
            $this->patterns->editions(Node::stored($record->editions, 'pattern '.$record->id)),
            array_values(
                $record->versions
                    ->filter(static fn (VersionRecord $version): bool => null === $version->removedAt)
                    ->map($this->version(...))
                    ->toArray(),
            ),
            [] === $record->chart ? null : $this->charts->read(Node::stored($record->chart, 'pattern '.$record->id)),
            $record->files,
            ...$this->details($record),
        );
    }

    /** @return array{ClothAdvice, list<Technique>, list<KeptAlteration>} */
    private function details(PatternRecord $record): array
    {
        $details = Node::stored($record->details, 'pattern '.$record->id);

        return [
            $this->patterns->advice($details->at('cloth')),
            $this->patterns->techniques($details->at('techniques')),
            $this->alterations->kept($details->at('alterations')),
        ];
    }

    public function version(VersionRecord $record): Version
    {
        return new Version(
            $record->id,
            $record->name,
            $this->table($record),
            $record->notions,
            $record->minutes,
            $record->notes,
            [] === $record->marks
                ? null
                : PieceSet::later(
                    $record->marks,
                    $record->widest,
                    fn (): array => $this->pieces->read(Node::stored($this->pieceSet($record)->pieces, 'pieces of version '.$record->id)),
                ),
            array_map(Feature::from(...), $record->features),
        );
    }

    /** Everything but the versions. */
    public function store(Pattern $pattern, PatternRecord $record): void
    {
        $record->title = $pattern->title;
        $record->maker = $pattern->maker;
        $record->number = $pattern->number;
        $record->otherNumbers = $pattern->otherNumbers;
        $record->garment = $pattern->garment;
        $record->format = $pattern->format;
        $record->ownership = $pattern->ownership;
        $record->onlyFor = $pattern->onlyFor;
        $record->minutes = $pattern->minutes;
        $record->place = $pattern->place;
        $record->notes = $pattern->notes;
        $record->editions = $this->patterns->writeEditions($pattern->editions);
        $record->chart = $this->charts->write($pattern->chart);
        $record->files = $pattern->files;
        $record->details = $this->patterns->writeDetails($pattern);
    }

    /** @param array<string, string> $people id in the document → id stored */
    public function renamePeople(PatternRecord $record, array $people): void
    {
        $kept = $this->alterations->kept(Node::stored($record->details, 'pattern '.$record->id)->at('alterations'));
        if ([] !== $kept) {
            $this->keep(
                array_map(
                    static fn (KeptAlteration $one): KeptAlteration => new KeptAlteration(
                        $people[$one->person] ?? $one->person,
                        $one->name,
                        $one->length,
                        $one->drawn,
                        $one->roles,
                    ),
                    $kept,
                ),
                $record,
            );
        }
    }

    /** @param list<Edition> $copies more of a pattern that is here */
    public function addCopies(array $copies, PatternRecord $record): void
    {
        $record->editions = [...$record->editions, ...$this->patterns->writeEditions($copies)];
    }

    /** @param list<KeptAlteration> $alterations in the place of those there are */
    public function keep(array $alterations, PatternRecord $record): void
    {
        $record->details = Fields::known(['alterations' => $this->alterations->writeKept($alterations)] + $record->details);
    }

    public function storeVersion(Version $version, VersionRecord $record): void
    {
        $record->name = $version->name;
        $record->sizes = $version->table->sizes;
        $record->requirements = $this->tables->write($version->table);
        $record->printed = $version->table->printed;
        $record->notions = $version->notions;
        $record->minutes = $version->minutes;
        $record->notes = $version->notes;
        $record->features = array_map(static fn (Feature $feature): string => $feature->value, $version->features);
    }

    private function table(VersionRecord $record): RequirementTable
    {
        return $this->tables->read($record->sizes, Node::stored($record->requirements, 'version '.$record->id), $record->printed);
    }
}
