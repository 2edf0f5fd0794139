<?php

declare(strict_types=1);

namespace Octavum\Store\Overrule;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Match\Overrule;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Pattern\VersionRecord;

/** What an account says will do, whatever the rules say. */
final readonly class Overrules
{
    public function __construct(private EntityManagerInterface $entities, private ChangeLog $changes)
    {
    }

    /** @return list<Overrule> of cloths and versions that are there, the oldest first */
    public function all(Account $account): array
    {
        /** @var list<array{cloth: string, version: string, reason: string, on: \DateTimeImmutable}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT c.id AS cloth, v.id AS version, o.reason, o.on FROM '.OverruleRecord::class.' o JOIN o.cloth c JOIN o.version v
                JOIN v.pattern p WHERE o.account = :account AND c.removedAt IS NULL AND v.removedAt IS NULL AND p.removedAt IS NULL
                ORDER BY o.id',
            )
            ->setParameter('account', $account)
            ->getArrayResult();

        return array_map(
            static fn (array $row): Overrule => new Overrule($row['cloth'], $row['version'], $row['reason'], $row['on']),
            $rows,
        );
    }

    /** In the place of what was said of the two before. */
    public function say(ClothRecord $cloth, VersionRecord $version, string $reason, \DateTimeImmutable $on, Notice $notice): void
    {
        $found = $this->find($cloth, $version);
        $make = static function () use ($found, $cloth, $version, $reason, $on): array {
            $record = $found ?? new OverruleRecord($cloth->account, $cloth, $version, $on);
            [$record->reason, $record->on] = [$reason, $on];

            return [$record];
        };
        $this->changes->commit([$found], $make, $notice);
    }

    public function takeBack(ClothRecord $cloth, VersionRecord $version, Notice $notice): void
    {
        $found = $this->find($cloth, $version);
        if (null !== $found) {
            $this->changes->commit([$found], fn () => $this->entities->remove($found), $notice);
        }
    }

    private function find(ClothRecord $cloth, VersionRecord $version): ?OverruleRecord
    {
        return $this->entities->getRepository(OverruleRecord::class)->findOneBy(['cloth' => $cloth, 'version' => $version]);
    }
}
