<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Picture;
use Octavum\Database\Newest;
use Octavum\Database\RemovableRecord;
use Octavum\Page\Toast;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\PieceSetRecord;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Project\ListRecord;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectRecord;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Uid\Ulid;

/**
 * Commits each change to records once, says so, and takes it back whole or not at all. Where a field, or what the change made, was
 * changed since, or where something that came later points to what it made, nothing is changed, and the answer names it. Entries that
 * the change added to a list are taken out of it, a number that counts and what follows from other rows (the place in the list) are
 * changed by as much.
 * Longer than other files: what a change did, whether it can be undone, and undoing it are read together.
 */
final readonly class ChangeLog
{
    private const MOST = 100;

    /** In the place of a field: the record was not there before, or is not there after. */
    private const MADE = '';
    private const GONE = ' ';

    /** Fields that name records within their text: class, field, where the account stands, and what they name. */
    private const NAMING = [
        [LayRecord::class, 'lay', 'WHERE r.account', [CutRecord::class, ProjectRecord::class, VersionRecord::class]],
        [ListRecord::class, 'projects', 'WHERE r.account', [ProjectRecord::class]],
        [OptionRecord::class, 'parts', 'JOIN r.project p JOIN p.season s WHERE s.account', [VersionRecord::class]],
    ];

    /** Follow from other rows, or count changes: they hinder no undo, and what the change added to them is taken off again. */
    private const FOLLOWS = ['rank', 'changes'];

    /** @param \Closure(): PatternMapper $patterns asked only when pieces come back */
    public function __construct(
        private EntityManagerInterface $entities,
        private RecordState $state,
        private Security $security,
        private Newest $newest,
        private Toast $toast,
        private UrlGeneratorInterface $urls,
        private ClockInterface $clock,
        #[AutowireServiceClosure(PatternMapper::class)] private \Closure $patterns,
    ) {
    }

    /**
     * In one transaction: makes the change and keeps what it takes to undo it, until a hundred others have followed. Afterwards it is
     * said, with a button that undoes it; a change that changed nothing has none.
     *
     * @param list<?object>     $touched records that the change may touch, as they are before; null for one that is not there yet
     * @param \Closure(): mixed $make    makes the change; gives back a list of the records it made, if any
     * @param list<string>      $counts  fields that hold an amount
     * @param ?Notice           $notice  null for what has an undo of its own: it is neither said nor listed
     */
    public function commit(array $touched, \Closure $make, ?Notice $notice, array $counts = []): void
    {
        $key = $this->entities->getConnection()->transactional(function () use ($touched, $make, $notice, $counts): ?string {
            $touched = array_values(array_filter($touched));
            $before = $this->state->read($touched);
            $made = array_values(array_filter((array) $make(), is_object(...)));
            foreach ($made as $record) {
                $this->entities->persist($record);
            }
            $this->entities->flush();

            return null === $notice ? null : $this->keep($before, [...$touched, ...$made], $notice, $counts);
        });
        if (null !== $notice) {
            $this->toast->say($notice->message, $notice->with, null === $key ? null : $this->address($key, $notice->back));
        }
    }

    /** Takes a record out of its room; it stays whole, and undoing puts it back. */
    public function remove(RemovableRecord $record, Notice $notice): void
    {
        $this->commit([$record], fn () => $record->remove($this->clock->now()), $notice);
    }

    /**
     * The changes that are kept, the newest first.
     *
     * @return list<array{at: \DateTimeImmutable, message: string, with: array<string, string>, undo: string, isUndone: bool}>
     */
    public function newest(Account $account): array
    {
        $rows = $this->entities->getConnection()->fetchAllAssociative(
            'SELECT "key", says, undone FROM undo WHERE account_id = ? AND says IS NOT NULL ORDER BY "key" DESC',
            [$account->id],
        );

        return array_map(function (array $row): array {
            $key = \is_string($row['key']) ? $row['key'] : '';
            /** @var array{string, array<string, string>, string} $says */
            $says = json_decode(\is_string($row['says']) ? $row['says'] : '', true, 8, \JSON_THROW_ON_ERROR);

            return [
                'at' => (new Ulid($key))->getDateTime(),
                'message' => $says[0],
                'with' => $says[1],
                'undo' => $this->address($key, $says[2]),
                'isUndone' => 0 !== $row['undone'],
            ];
        }, $rows);
    }

    public function undo(string $key): TakenBack
    {
        $connection = $this->entities->getConnection();
        $connection->beginTransaction();
        try {
            $back = $this->takeBack($key);
            $back->isWhole ? $connection->commit() : $connection->rollBack();

            return $back;
        } catch (\Throwable $fault) {
            $connection->rollBack();
            throw $fault;
        }
    }

    private function takeBack(string $key): TakenBack
    {
        $changes = $this->kept($key);
        if (null === $changes) {
            return new TakenBack(false, 'There is nothing left to undo.');
        }
        if ([] === $changes) {
            return new TakenBack(false, 'That is undone already.');
        }
        $hindrance = $this->hindrance($changes);
        if (null !== $hindrance) {
            return $hindrance;
        }
        $this->apply($changes);
        $full = $this->full($changes);
        if (null !== $full) {
            $this->entities->clear();

            return new TakenBack(
                false,
                '{name} would have more than can be kept, so nothing is undone. Take one out first.',
                ['name' => $full],
            );
        }
        $this->entities->getConnection()->executeStatement('UPDATE undo SET undone = 1 WHERE "key" = ?', [$key]);

        return new TakenBack(true, 'That is undone.');
    }

    /**
     * The name of what has more now than its forms would have let it have.
     *
     * @param list<array{string, string, mixed, mixed, bool}> $changes
     */
    private function full(array $changes): ?string
    {
        foreach (array_unique(array_column($changes, 0)) as $name) {
            $record = $this->find($name);
            $project = $record instanceof OptionRecord ? $record->project : $record;
            if ($project instanceof ProjectRecord) {
                $this->entities->refresh($project);
                $open = array_filter($project->others(), static fn (OptionRecord $option): bool => !$option->past);
                if (\count($open) >= Option::MOST || \count($project->pictures) > Picture::MOST) {
                    return $project->name;
                }
            } elseif ($record instanceof PatternRecord && \count($record->files) > Picture::MOST) {
                return $record->title;
            }
        }

        return null;
    }

    /**
     * @param array<string, array<string, mixed>> $before
     * @param list<object>                        $records
     * @param list<string>                        $counts
     */
    private function keep(array $before, array $records, Notice $notice, array $counts): ?string
    {
        $there = array_filter($records, $this->entities->contains(...));
        $changes = [];
        $now = $this->state->read($there);
        $pointing = $this->pointing(array_keys(array_diff_key($now, $before)));
        foreach ($now as $record => $fields) {
            if (!isset($before[$record])) {
                $changes[] = [$record, self::MADE, $pointing[$record] ?? [], $fields, false];
                continue;
            }
            foreach ($fields as $field => $after) {
                $was = $before[$record][$field] ?? null;
                if (!FieldChange::same($was, $after)) {
                    $changes[] = [$record, $field, $was, $after, \in_array($field, [...self::FOLLOWS, ...$counts], true)];
                }
            }
        }
        foreach (array_diff_key($before, array_flip(array_map($this->state->key(...), $there))) as $record => $fields) {
            $changes[] = [$record, self::GONE, $fields, null, false];
        }
        if ([] === $changes) {
            return null;
        }
        $key = (string) new Ulid();
        $says = json_encode([$notice->message, $notice->with, $notice->back], \JSON_THROW_ON_ERROR);
        $this->entities->getConnection()->insert(
            'undo',
            ['"key"' => $key, 'account_id' => $this->account(), 'changes' => serialize($changes), 'says' => $says],
            ['changes' => ParameterType::LARGE_OBJECT],
        );
        $this->newest->keepOnly(self::MOST, 'undo', $this->account());

        return $key;
    }

    private function address(string $key, string $back): string
    {
        return $this->urls->generate('undo', ['key' => $key, 'back' => $back]);
    }

    /**
     * Why a change cannot be taken back as things are now; null when it can.
     *
     * @param list<array{string, string, mixed, mixed, bool}> $changes
     */
    private function hindrance(array $changes): ?TakenBack
    {
        $made = array_column(array_filter($changes, static fn (array $change): bool => self::MADE === $change[1]), 0);
        [$pointing, $naming] = [$this->pointing($made), $this->naming($made)];
        foreach ($changes as [$name, $field, $before, $after, $counts]) {
            $record = $this->find($name);
            if (self::GONE === $field ? null !== $record || !$this->hasPlace($name, (array) $before, $changes) : null === $record) {
                if (\in_array($field, self::FOLLOWS, true)) {
                    continue;
                }

                return new TakenBack(false, 'Something that was changed then was changed again since, so nothing is undone.');
            }
            if (null === $record) {
                continue;
            }
            $this->entities->initializeObject($record);
            if (self::MADE === $field) {
                $then = [...array_filter((array) $before, is_string(...)), ...$made];
                $points = array_diff([...$pointing[$name] ?? [], ...$naming[$name] ?? []], $then);
                $later = $this->later($name, $points, $changes);
                $isChanged = \is_array($after) && !self::alike($this->state->read([$record])[$name], $after);
                if ($isChanged || (null !== $later && $this->state->name($later) === $this->state->name($record))) {
                    return $this->changed($record);
                }
                if (null !== $later) {
                    return new TakenBack(false, '{made} is used by {other} now, so nothing is undone. Change that first.', [
                        'made' => $this->state->name($record),
                        'other' => $this->state->name($later),
                    ]);
                }
            } elseif (!\in_array($field, self::FOLLOWS, true)) {
                $now = $this->state->field($record, $field);
                if (!FieldChange::isReversible($now, $before, $after, $counts)) {
                    return $this->changed($record);
                }
            }
        }

        return null;
    }

    /** @param list<array{string, string, mixed, mixed, bool}> $changes */
    private function apply(array $changes): void
    {
        foreach ($changes as [$name, $field]) {
            if (self::GONE === $field) {
                $this->restore($name);
            }
        }
        foreach ($changes as [$name, $field, $before, $after, $counts]) {
            $record = $this->find($name);
            if (null === $record || self::MADE === $field) {
                continue;
            }
            $values = self::GONE === $field
                ? (array) $before
                : [$field => FieldChange::without($this->state->field($record, $field), $before, $after, $counts)];
            foreach ($values as $one => $value) {
                $this->state->set($record, (string) $one, $value);
            }
        }
        // what pointed to what was made points elsewhere before that goes, which takes with it what points to it
        $this->entities->flush();
        foreach ($changes as [$name, $field]) {
            $record = $this->find($name);
            if (null !== $record && self::MADE === $field) {
                $this->entities->remove($record);
            } elseif ($record instanceof PieceSetRecord) {
                ($this->patterns)()->markPieces($record);
            }
        }
        $this->entities->flush();
    }

    /** A record that went comes back under its id; its fields are set afterwards, when all that they point to are there. */
    private function restore(string $name): void
    {
        [$class, $id] = $this->split($name);
        $metadata = $this->entities->getClassMetadata($class);
        $record = $metadata->newInstance();
        $metadata->setFieldValue($record, 'id', $id);
        foreach (array_filter($metadata->getAssociationNames(), $metadata->isCollectionValuedAssociation(...)) as $collection) {
            $metadata->setFieldValue($record, $collection, new ArrayCollection());
        }
        $this->entities->persist($record);
    }

    /**
     * Whether what a record that went pointed to is there, or comes back with it.
     *
     * @param array<mixed>                                    $fields
     * @param list<array{string, string, mixed, mixed, bool}> $changes
     */
    private function hasPlace(string $name, array $fields, array $changes): bool
    {
        $back = array_column(array_filter($changes, static fn (array $change): bool => self::GONE === $change[1]), 0);
        $metadata = $this->entities->getClassMetadata($this->split($name)[0]);
        foreach ($metadata->getAssociationNames() as $field) {
            $id = $fields[$field] ?? null;
            $target = \is_string($id) ? $this->state->keyOf($metadata->getAssociationTargetClass($field), $id) : null;
            if (null !== $target && !\in_array($target, $back, true) && null === $this->find($target)) {
                return false;
            }
        }

        return true;
    }

    private function changed(object $record): TakenBack
    {
        return new TakenBack(false, '{name} was changed since, so nothing is undone. Undo the later change first.', [
            'name' => $this->state->name($record),
        ]);
    }

    /**
     * What came to point to a record that was made, and does not point elsewhere when the change is taken back.
     *
     * @param array<string>                                   $pointing keys
     * @param list<array{string, string, mixed, mixed, bool}> $changes
     */
    private function later(string $name, array $pointing, array $changes): ?object
    {
        $id = $this->split($name)[1];
        $back = array_column(array_filter($changes, static fn (array $change): bool => $change[3] === $id && $change[2] !== $id), 0);
        foreach (array_diff($pointing, $back) as $other) {
            $record = $this->find($other);
            if (null !== $record) {
                return $record;
            }
        }

        return null;
    }

    /**
     * The records that point to some.
     *
     * @param list<string> $names keys of them
     *
     * @return array<string, list<string>> by what they point to, each by its key
     */
    private function pointing(array $names): array
    {
        $ids = $pointing = [];
        foreach ($names as $name) {
            [$class, $id] = $this->split($name);
            $ids[$class][] = $id;
        }
        foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $metadata) {
            foreach ($metadata->getAssociationNames() as $field) {
                $target = $metadata->getAssociationTargetClass($field);
                if (!isset($ids[$target]) || !$metadata->isSingleValuedAssociation($field) || $metadata->isAssociationInverseSide($field)) {
                    continue;
                }
                $points = 'SELECT r.id, IDENTITY(r.%2$s) AS points FROM %1$s r WHERE r.%2$s IN (:ids)';
                $query = \sprintf($points, $metadata->getName(), $field);
                foreach (array_chunk($ids[$target], 1_000) as $some) {
                    /** @var array{id: string, points: string} $row */
                    foreach ($this->entities->createQuery($query)->setParameter('ids', $some)->getArrayResult() as $row) {
                        $pointing[$this->state->keyOf($target, $row['points'])][] = $this->state->keyOf($metadata->getName(), $row['id']);
                    }
                }
            }
        }

        return $pointing;
    }

    /**
     * The account's lays, lists and options that name some records among their figures, not by a reference that the database knows.
     *
     * @param list<string> $names keys of them
     *
     * @return array<string, list<string>> as pointing() gives it
     */
    private function naming(array $names): array
    {
        $naming = [];
        foreach (self::NAMING as [$class, $field, $path, $named]) {
            $some = array_filter($names, fn (string $name): bool => \in_array($this->split($name)[0], $named, true));
            $query = $this->entities->createQuery(\sprintf('SELECT r.id, r.%s AS text FROM %s r %s = :account', $field, $class, $path));
            foreach ([] === $some ? [] : $query->setParameter('account', $this->account())->getArrayResult() as $row) {
                /** @var array{id: string, text: mixed} $row */
                $text = (string) json_encode($row['text']);
                foreach ($some as $name) {
                    if (str_contains($text, '"'.$this->split($name)[1].'"')) {
                        $naming[$name][] = $this->state->keyOf($class, $row['id']);
                    }
                }
            }
        }

        return $naming;
    }

    private function find(string $name): ?object
    {
        return $this->entities->find(...$this->split($name));
    }

    /** @return array{class-string, string} */
    private function split(string $name): array
    {
        return $this->state->split($name) ?? throw new \LogicException('A record has a table.');
    }

    /**
     * @param array<string, mixed> $now
     * @param array<mixed>         $then
     */
    private static function alike(array $now, array $then): bool
    {
        foreach ($now as $field => $value) {
            if (\array_key_exists($field, $then) && !\in_array($field, self::FOLLOWS, true) && !FieldChange::same($value, $then[$field])) {
                return false;
            }
        }

        return true;
    }

    /** @return ?list<array{string, string, mixed, mixed, bool}> none when it is undone already, null when it cannot be read */
    private function kept(string $key): ?array
    {
        $row = $this->entities->getConnection()->fetchAssociative(
            'SELECT changes, undone FROM undo WHERE "key" = ? AND account_id = ?',
            [$key, $this->account()],
        );
        if (false === $row || !\is_string($row['changes'])) {
            return null;
        }
        /** @var list<array{string, string, mixed, mixed, bool}> $changes */
        $changes = unserialize($row['changes']);
        $known = array_filter($changes, fn (array $change): bool => null !== $this->state->split($change[0]));

        return match (true) {
            \count($known) < \count($changes) => null,
            0 === $row['undone'] => $changes,
            default => [],
        };
    }

    private function account(): string
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $account->id : throw new \LogicException('Only an account changes anything.');
    }
}
