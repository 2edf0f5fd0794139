<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Need\Alteration;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Piece\Role;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Alterations of a project, and those kept with a pattern for someone. */
final readonly class AlterationCodec
{
    /** @return list<Alteration> */
    public function read(Node $node): array
    {
        return array_map(function (Node $alteration): Alteration {
            $alteration->object(['name', 'length', 'roles']);

            return new Alteration(
                $alteration->at('name')->name(),
                $alteration->at('length')->requiredChange(),
                $this->roles($alteration->at('roles')),
            );
        }, $node->items());
    }

    /**
     * @param list<Alteration> $alterations
     *
     * @return list<array<string, mixed>>
     */
    public function write(array $alterations): array
    {
        return array_map(
            fn (Alteration $alteration): array => ['name' => $alteration->name, 'length' => $alteration->length->millimetres()]
                + $this->writeRoles($alteration->roles),
            $alterations,
        );
    }

    /** @return list<KeptAlteration> */
    public function kept(Node $node): array
    {
        return array_map(function (Node $item): KeptAlteration {
            $item->object(['person', 'name', 'length', 'drawn', 'roles']);

            return new KeptAlteration(
                $item->at('person')->name(60),
                $item->at('name')->name(),
                $item->at('length')->isThere() ? $item->at('length')->requiredChange() : null,
                $item->at('drawn')->boolean(),
                $this->roles($item->at('roles')),
            );
        }, $node->items());
    }

    /**
     * @param list<KeptAlteration> $alterations
     *
     * @return list<array<string, mixed>>
     */
    public function writeKept(array $alterations): array
    {
        return array_map(
            fn (KeptAlteration $kept): array => Fields::known(
                ['person' => $kept->person, 'name' => $kept->name, 'length' => $kept->length?->millimetres(), 'drawn' => $kept->drawn]
                    + $this->writeRoles($kept->roles),
            ),
            $alterations,
        );
    }

    /** @return list<Role> that an alteration lengthens */
    private function roles(Node $node): array
    {
        return $node->isThere() ? $node->choices(Role::class, 11) : KeptAlteration::ROLES;
    }

    /**
     * @param list<Role> $roles that an alteration lengthens, left out where they are the usual ones
     *
     * @return array{roles?: list<string>}
     */
    private function writeRoles(array $roles): array
    {
        return KeptAlteration::ROLES === $roles ? [] : ['roles' => array_map(static fn (Role $role): string => $role->value, $roles)];
    }
}
