<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Body\Feature;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PieceSet;
use Octavum\Document\Codec\AlterationCodec;
use Octavum\Document\Codec\ChartCodec;
use Octavum\Document\Codec\PatternCodec;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Document\Codec\TableCodec;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

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

        return new self(
            $this->patterns,
            $this->tables,
            $this->charts,
            alterations: $this->alterations,
            pieces: $this->pieces,
            entities: $this->entities,
            known: $known,
        );
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
        $stored = static fn (array $value): Node => Node::stored($value, 'pattern '.$record->id);
        $details = $stored($record->details);
        $versions = $record->versions->filter(static fn (VersionRecord $version): bool => null === $version->removedAt);

        return new Pattern(
            $record->id,
            $record->title,
            new PatternLabel($record->maker, $record->number, $record->otherNumbers),
            makes: new PatternGarment(
                $record->garment,
                $record->onlyFor,
                $record->minutes,
                $this->patterns->techniques($details->at('techniques')),
                $this->patterns->advice($details->at('cloth')),
            ),
            keeping: new PatternKeeping(
                $record->format,
                $record->ownership,
                $this->patterns->editions($stored($record->editions)),
                place: $record->place,
                notes: $record->notes,
                files: $record->files,
            ),
            chart: [] === $record->chart ? new SizeChart() : $this->charts->read($stored($record->chart)),
            versions: array_values($versions->map($this->version(...))->toArray()),
            alterations: $this->alterations->kept($details->at('alterations')),
        );
    }

    public function version(VersionRecord $record): Version
    {
        return new Version(
            $record->id,
            $record->name,
            $this->table($record),
            notions: $record->notions,
            minutes: $record->minutes,
            notes: $record->notes,
            pieces: [] === $record->marks
                ? null
                : PieceSet::later(
                    $record->marks,
                    $record->widest,
                    fn (): array => $this->pieces->readStored(
                        Node::stored($this->pieceSet($record)->pieces, 'pieces of version '.$record->id),
                    ),
                ),
            features: array_map(Feature::from(...), $record->features),
        );
    }

    /** Everything but the versions. */
    public function store(Pattern $pattern, PatternRecord $record): void
    {
        $record->title = $pattern->title;
        $record->maker = $pattern->label->maker;
        $record->number = $pattern->label->number;
        $record->otherNumbers = $pattern->label->otherNumbers;
        $record->garment = $pattern->makes->garment;
        $record->format = $pattern->keeping->format;
        $record->ownership = $pattern->keeping->ownership;
        $record->onlyFor = $pattern->makes->onlyFor;
        $record->minutes = $pattern->makes->minutes;
        $record->place = $pattern->keeping->place;
        $record->notes = $pattern->keeping->notes;
        $record->editions = $this->patterns->writeEditions($pattern->keeping->editions);
        $record->chart = $this->charts->write($pattern->chart);
        $record->files = $pattern->keeping->files;
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
