<?php

declare(strict_types=1);

namespace Octavum\Store\Notion;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Length;
use Octavum\Core\Notion\Notion;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The notions an account has, as stored and as the core knows them. */
final readonly class NotionStore
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ChangeLog $changes,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    /** @return list<Notion> in the order in which they were written down */
    public function all(Account $account): array
    {
        return array_map($this->notion(...), $this->records($account));
    }

    /** @return list<NotionRecord> likewise */
    public function records(Account $account): array
    {
        return $this->entities->getRepository(NotionRecord::class)->findBy(['account' => $account, 'removedAt' => null], ['id' => 'ASC']);
    }

    /** One of the account's own; removed ones too, so that a removal can be undone. */
    public function oneOf(Account $account, string $id): ?NotionRecord
    {
        return $this->entities->getRepository(NotionRecord::class)->findOneBy(['id' => $id, 'account' => $account]);
    }

    public function notion(NotionRecord $record): Notion
    {
        $length = static fn (?int $micrometres): ?Length => null === $micrometres ? null : Length::ofMicrometres($micrometres);

        return new Notion(
            $record->id,
            $record->kind,
            $length($record->measure),
            count: $record->count,
            length: $length($record->length),
            name: $record->name,
            place: $record->place,
            notes: $record->notes,
            expected: $record->expected,
        );
    }

    /** @param list<Notion> $notions new ones; a toast offers to take them out again */
    public function put(array $notions, Account $account): void
    {
        $make = function () use ($notions, $account): array {
            $made = [];
            foreach ($notions as $notion) {
                $this->store($notion, $made[] = new NotionRecord($account));
            }

            return $made;
        };
        $says = '{count, plural, one {One notion is} other {# notions are}} among your notions.';
        $this->changes->commit([], $make, new Notice($says, ['count' => (string) \count($notions)], $this->addresses->generate('notions')));
    }

    public function store(Notion $notion, NotionRecord $record): void
    {
        $record->kind = $notion->kind;
        $record->measure = $notion->measure?->micrometres;
        $record->count = $notion->count;
        $record->length = $notion->length?->micrometres;
        $record->name = $notion->name;
        $record->place = $notion->place;
        $record->notes = $notion->notes;
        $record->expected = $notion->expected;
        $this->entities->persist($record);
    }
}
