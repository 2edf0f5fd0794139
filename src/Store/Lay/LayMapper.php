<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Core\Laid\SavedLay;
use Octavum\Document\Codec\LayCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\CutRecord;

/** Stored lays to the core's and back. */
final readonly class LayMapper
{
    public function __construct(private EntityManagerInterface $entities, private ClothMapper $cloths, private LayCodec $lays)
    {
    }

    public function lay(LayRecord $record, IdentityMap $built): SavedLay
    {
        $cuts = [];
        foreach ($record->cuts() as $id) {
            $stored = ($built->cuts[$id] ?? $this->entities->find(CutRecord::class, $id))?->cloth;
            if (null === $stored || null !== $stored->removedAt || $stored->account !== $record->account) {
                continue;
            }
            $cloth = $built->cloths[$stored->id] ??= $this->cloths->cloth($stored, $built->assumptions);
            foreach ($cloth->cuts as $cut) {
                if ($cut->id === $id) {
                    $cuts['#'.$id] = [$cloth, $cut];
                }
            }
        }

        return $this->lays->read(
            Node::stored(['id' => $record->id, 'name' => $record->name] + $record->lay, 'lay '.$record->id),
            $cuts,
            trusted: true,
        );
    }

    public function store(SavedLay $lay, LayRecord $record): void
    {
        $record->name = $lay->name;
        $record->lay = array_diff_key($this->lays->write($lay), ['id' => 0, 'name' => 0]);
    }
}
