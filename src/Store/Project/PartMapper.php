<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Pattern\Part;
use Octavum\Document\Codec\PartCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\VersionRecord;

/** Stored parts of projects to the core's and back; the version of one that was taken out is nobody's. */
final readonly class PartMapper
{
    public function __construct(private EntityManagerInterface $entities, private PatternMapper $patterns, private PartCodec $parts)
    {
    }

    /**
     * @param list<array<string, string|int|float|list<string>>> $stored
     *
     * @return list<Part>
     */
    public function parts(array $stored, Account $account, IdentityMap $built): array
    {
        $known = [];
        foreach ($stored as $i => $part) {
            $id = $part['version'] ?? null;
            $record = \is_string($id) ? $built->versions[$id] ?? $this->entities->find(VersionRecord::class, $id) : null;
            $pattern = $record?->pattern;
            if (null === $record || null === $pattern || null !== $pattern->removedAt || $pattern->account !== $account) {
                unset($stored[$i]['version']);
                continue;
            }
            $built->patterns[$pattern->id] ??= $this->patterns->pattern($pattern);
            foreach ($built->patterns[$pattern->id]->versions as $version) {
                $known['#'.$version->id] = [$built->patterns[$pattern->id], $version];
            }
            if (!isset($known['#'.$record->id])) {
                // taken out, alone
                unset($stored[$i]['version']);
            }
        }

        return $this->parts->read(Node::stored($stored, 'parts'), $known);
    }

    /**
     * @param list<Part>            $parts
     * @param array<string, string> $ids   of versions that are stored under others
     *
     * @return list<array<string, string|int|float|list<string>>>
     */
    public function store(array $parts, array $ids = []): array
    {
        return array_map(
            static fn (array $part): array => \is_string($part['version'] ?? null)
                ? ['version' => $ids[$part['version']] ?? $part['version']] + $part
                : $part,
            $this->parts->write($parts),
        );
    }
}
