<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Document\Json\Node;

/** Fibres with their shares; null for a share nobody knows. */
final readonly class FibreCodec
{
    public function read(Node $node, Knowledge $knowledge): FibreMix
    {
        $shares = [];
        foreach ($node->names() as $fibre) {
            $shares[$fibre] = $node->at($fibre)->integer(1, 100) ?? 0;
        }

        return $node->attempt(static fn (): FibreMix => FibreMix::of($shares, $knowledge)) ?? FibreMix::unknown();
    }

    /** @return array<string, ?int> null for a share nobody knows */
    public function write(FibreMix $fibres): array
    {
        return array_map(static fn (int $share): ?int => 0 === $share ? null : $share, $fibres->shares);
    }
}
