<?php

declare(strict_types=1);

namespace Octavum\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Input\Words;

/** Which cloths of a stash are shown, and in what order. */
final readonly class ClothFilter
{
    public const SORTS = ['length' => 'length', 'width' => 'width', 'kind' => 'kind', 'colour' => 'colour', 'place' => 'place', 'name' => 'name', 'newest' => 'newest'];

    /** @param 'colour'|'kind'|'length'|'name'|'newest'|'place'|'width' $sort */
    public function __construct(
        public string $sort = 'length',
        public string $words = '',
        public ?Structure $structure = null,
        public ?Length $atLeast = null,
        public ?Length $wideAtLeast = null,
        public bool $unwashed = false,
        public bool $setAside = false,
    ) {
    }

    /**
     * @param list<Cloth> $cloths
     *
     * @return list<Cloth>
     */
    public function of(array $cloths, Assumptions $assumptions): array
    {
        $found = array_values(array_filter($cloths, fn (Cloth $cloth): bool => $this->lets($cloth, $assumptions)));
        $keys = array_map(fn (Cloth $cloth): array => [$this->key($cloth, $assumptions), mb_strtolower($cloth->name)], $found);
        array_multisort($keys, $found);

        return $found;
    }

    private function lets(Cloth $cloth, Assumptions $assumptions): bool
    {
        $text = mb_strtolower(implode(' ', [$cloth->name, $cloth->type->value ?? '', $cloth->structure->value, $cloth->place, $cloth->print->value, $cloth->notes, ...array_keys($cloth->fibres->shares)]));
        foreach (Words::of(mb_strtolower($this->words)) as $word) {
            if (!str_contains($text, $word)) {
                return false;
            }
        }
        $longest = null === $this->atLeast ? null : Stash::longest($cloth, $assumptions);

        return (null === $this->structure || $cloth->structure === $this->structure)
            && (null === $this->atLeast || (null !== $longest && !$longest->isLessThan($this->atLeast)))
            && (null === $this->wideAtLeast || (null !== $cloth->width && !$cloth->width->full->isLessThan($this->wideAtLeast)))
            && (!$this->unwashed || [] !== array_filter($cloth->cuts, static fn (Cut $cut): bool => !$cut->gone && !$cut->washed))
            && $cloth->setAside === $this->setAside;
    }

    private function key(Cloth $cloth, Assumptions $assumptions): string|int|float
    {
        return match ($this->sort) {
            'length' => -(Stash::longest($cloth, $assumptions)->micrometres ?? 0),
            'width' => -($cloth->width->full->micrometres ?? 0),
            'kind' => $cloth->structure->value.' '.($cloth->type->value ?? '~'),
            'colour' => self::hue($cloth->colours[0] ?? null),
            'place' => '' === $cloth->place ? '~' : mb_strtolower($cloth->place),
            'name' => '',
            'newest' => strtr($cloth->id, '0123456789ABCDEFGHJKMNPQRSTVWXYZ', 'ZYXWVTSRQPNMKJHGFEDCBA9876543210'),
        };
    }

    /** Round the colour wheel from red, greys by lightness before it, unknown at the end. */
    private static function hue(?string $colour): float
    {
        if (null === $colour) {
            return 1000;
        }
        [$r, $g, $b] = array_map(static fn (string $pair): float => hexdec($pair) / 255, str_split(substr($colour, 1), 2));
        $max = max($r, $g, $b);
        $span = $max - min($r, $g, $b);
        if ($span < 0.09) {
            return -2 + $max;
        }

        return 60 * match (true) {
            $max === $r => fmod(($g - $b) / $span + 6, 6),
            $max === $g => ($b - $r) / $span + 2,
            default => ($r - $g) / $span + 4,
        };
    }
}
