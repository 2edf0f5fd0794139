<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Document\Json\Node;

/** What a sewist says will do, whatever the rules say. */
final readonly class OverruleCodec
{
    /**
     * @param array<string, Cloth>                   $cloths   by '#' and id
     * @param array<string, array{Pattern, Version}> $versions likewise
     */
    public function read(Node $node, array $cloths, array $versions): ?Overrule
    {
        $node->object(['cloth', 'version', 'reason', 'on']);
        $cloth = $node->at('cloth')->named($cloths, 'cloth');
        $version = $node->at('version')->named($versions, 'version');
        $reason = $node->at('reason')->text(300);
        $on = $node->at('on')->requiredDate();

        return null === $cloth || null === $version ? null : new Overrule($cloth->id, $version[1]->id, $reason, $on);
    }

    /** @return array<string, mixed> */
    public function write(Overrule $one): array
    {
        return ['cloth' => $one->cloth, 'version' => $one->version, 'reason' => $one->reason, 'on' => $one->on->format('Y-m-d')];
    }
}
