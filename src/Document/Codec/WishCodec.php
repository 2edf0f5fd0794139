<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Project\Wish;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Cloth that is still to be bought. */
final readonly class WishCodec
{
    public function __construct(private FibreCodec $fibres = new FibreCodec())
    {
    }

    public function read(Node $node): Wish
    {
        $node->object(['name', 'fibres', 'structure', 'oneWay', 'repeat', 'pricePerMetre', 'width']);

        return new Wish(
            $node->at('name')->name(),
            $this->fibres->read($node->at('fibres'), Knowledge::Seller),
            $node->at('structure')->choice(Structure::class) ?? Structure::Woven,
            oneWay: $node->at('oneWay')->boolean(),
            repeat: $node->at('repeat')->length(),
            pricePerMetre: $node->at('pricePerMetre')->integer(0, 9_999_999),
            width: $node->at('width')->length(),
        );
    }

    /** @return array<string, mixed> */
    public function write(Wish $wish): array
    {
        return Fields::known([
            'name' => $wish->name,
            'fibres' => $this->fibres->write($wish->fibres),
            'structure' => $wish->structure->value,
            'oneWay' => $wish->oneWay,
            'repeat' => $wish->repeat?->millimetres(),
            'pricePerMetre' => $wish->pricePerMetre,
            'width' => $wish->width?->millimetres(),
        ]);
    }
}
