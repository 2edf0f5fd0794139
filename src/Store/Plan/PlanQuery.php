<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Document\Codec\SewingCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;

/** Finds single facts of the plan, without loading it. */
final readonly class PlanQuery
{
    public function __construct(private EntityManagerInterface $entities, private ProjectRepository $projects)
    {
    }

    /**
     * Finds the claims for which garments are laid.
     *
     * @param list<LaidGarment> $garments
     * @param list<?string>     $options  of each, for which of its project's it is laid; null for the current one
     *
     * @return list<ClaimRecord>
     */
    public function findClaims(Account $account, array $garments, array $options = []): array
    {
        $found = [];
        foreach ($garments as $i => $garment) {
            $project = null === $garment->project ? null : $this->projects->oneOf($account, $garment->project);
            $option = $project?->findOption($options[$i] ?? null) ?? $project?->current;
            $size = static fn (ClaimRecord $claim): ?string => null === $claim->copy ? $option?->size : $claim->copy->size;
            $ofRole = array_values(array_filter(
                $option?->claims->toArray() ?? [],
                static fn (ClaimRecord $claim): bool => $claim->role === $garment->role
                    && $claim->pieces === $garment->pieces
                    && !\in_array($claim, $found, true),
            ));
            // of several sewn together the one of this size, which two copies may have
            $ofSize = array_values(array_filter($ofRole, static fn (ClaimRecord $claim): bool => $size($claim) === $garment->size));
            $claim = $ofSize[0] ?? $ofRole[0] ?? null;
            if (null !== $claim) {
                $found[] = $claim;
            }
        }

        return $found;
    }

    /**
     * @return list<array{
     *     id: string, name: string, state: ProjectState, season: string, person: ?string, size: ?string, version: string,
     *     finding: ?Finding,
     * }> in which a pattern is or was planned, the latest season first
     */
    public function ofPattern(Account $account, string $pattern): array
    {
        /**
         * @var list<array{
         *     id: string, name: string, state: ProjectState, season: string, person: ?string, size: ?string, version: string,
         *     sewing: mixed,
         * }> $projects
         */
        $projects = $this->entities
            ->createQuery(
                'SELECT p.id, p.name, p.state, s.name AS season, who.name AS person, o.size, v.name AS version, p.sewing FROM '
                    .ProjectRecord::class
                    .' p JOIN p.season s JOIN p.current o JOIN o.version v LEFT JOIN p.person who'
                    .' WHERE s.account = :account AND v.pattern = :pattern AND p.removedAt IS NULL'
                    .' ORDER BY s.starts DESC, p.rank',
            )
            ->setParameters(['account' => $account, 'pattern' => $pattern])
            ->getArrayResult();
        $codec = new SewingCodec();

        return array_map(
            static fn (array $one): array => [
                ...$one,
                'finding' => $codec->read(Node::stored($one['sewing'], 'project '.$one['id']))->finding,
            ],
            $projects,
        );
    }

    /**
     * What was cut off and what the envelope asked for, of a maker's patterns, or of one where nobody said whose it is.
     *
     * @return array<string, list<array{int, int}>> by pattern, in micrometres
     */
    public function envelopes(Account $account, string $maker, string $pattern): array
    {
        /** @var list<array{pattern: string, used: int|string, asked: int|string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT t.id AS pattern, c.used, c.asked FROM '.ClaimRecord::class.' c JOIN c.option o JOIN o.project p JOIN p.season s'
                    .' JOIN o.version v JOIN v.pattern t WHERE s.account = :account AND p.removedAt IS NULL AND c.asked > 0'
                    .' AND c.used > 0 AND (t.id = :pattern OR (t.maker = :maker AND t.maker <> \'\'))',
            )
            ->setParameters(['account' => $account, 'maker' => $maker, 'pattern' => $pattern])
            ->getArrayResult();
        $cuts = [];
        foreach ($rows as $row) {
            $cuts[$row['pattern']][] = [(int) $row['used'], (int) $row['asked']];
        }

        return $cuts;
    }
}
