<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Place;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Colour\Lab;
use Octavum\Core\Find\Forgiving;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Input\SearchWords;
use Octavum\Store\Cloth\Stash;

/** Which cloths of a stash are shown, in what order, and how many each further choice would leave. */
final readonly class ClothFilter
{
    public const SORTS = [
        'length' => 'length',
        'width' => 'width',
        'kind' => 'kind',
        'colour' => 'colour',
        'place' => 'place',
        'name' => 'name',
        'newest' => 'newest',
    ];

    /** CIEDE2000; about twice of what still goes by the same name. */
    private const NEAR = 20.0;

    private ?Lab $near;

    /** @var \WeakMap<Cloth, list<string>> the choices that leave a cloth out, worked out once */
    private \WeakMap $failed;

    /** @var \WeakMap<Cloth, float> */
    private \WeakMap $distances;

    /**
     * @param 'colour'|'kind'|'length'|'name'|'newest'|'place'|'width' $sort
     * @param string                                                   $kind  a structure or a type
     * @param ?string                                                  $near  such as #27405e; the nearest come first
     * @param ?array<string, list<Reservation>>                        $taken by cut, when only what nobody claims is wanted
     */
    public function __construct(
        public string $sort = 'length',
        public string $words = '',
        public string $kind = '',
        public ?Length $atLeast = null,
        public ?Length $wideAtLeast = null,
        public bool $unwashed = false,
        public bool $setAside = false,
        public ?WeightClass $weight = null,
        public string $place = '',
        public string $set = '',
        ?string $near = null,
        public ?array $taken = null,
    ) {
        $this->near = null === $near ? null : Lab::ofHex($near);
        $this->failed = new \WeakMap();
        $this->distances = new \WeakMap();
    }

    /**
     * @param list<Cloth> $cloths
     *
     * @return list<Cloth> when nothing is called so, what is called nearly so
     */
    public function filter(array $cloths, Assumptions $assumptions): array
    {
        $found = $nearly = [];
        foreach ($cloths as $cloth) {
            $fails = $this->fails($cloth, $assumptions);
            if ([] === $fails) {
                $found[] = $cloth;
            } elseif (['words'] === $fails) {
                $nearly[$cloth->id] = $cloth;
            }
        }
        if ([] === $found && [] !== $nearly) {
            return array_map(
                static fn (string $id): Cloth => $nearly[$id],
                (new Forgiving())->find($this->words, array_map($this->text(...), $nearly), 50),
            );
        }
        $keys = array_map(fn (Cloth $cloth): array => [$this->key($cloth, $assumptions), mb_strtolower($cloth->name)], $found);
        array_multisort($keys, $found);

        return $found;
    }

    /**
     * How many cloths each choice would show, all other choices standing as they are.
     *
     * @param list<Cloth> $cloths
     */
    public function counts(array $cloths, Assumptions $assumptions): ClothCounts
    {
        $counts = ['kind' => [], 'weight' => [], 'place' => [], 'set' => []];
        $unwashed = $aside = 0;
        foreach ($cloths as $cloth) {
            $fails = $this->fails($cloth, $assumptions);
            $choices = [
                'kind' => [$cloth->material->structure->value, ...null === $cloth->material->type ? [] : [$cloth->material->type->value]],
                'weight' => null === $cloth->material->weight ? [] : [$cloth->material->weight->class->value],
                'place' => Place::paths($cloth->keeping->place),
                'set' => '' === $cloth->keeping->set ? [] : [$cloth->keeping->set],
            ];
            foreach ($choices as $choice => $values) {
                foreach ([] === array_diff($fails, [$choice]) ? $values : [] as $value) {
                    $counts[$choice][$value] = ($counts[$choice][$value] ?? 0) + 1;
                }
            }
            $unwashed += [] === array_diff($fails, ['unwashed']) && $this->isUnwashed($cloth) ? 1 : 0;
            $aside += [] === array_diff($fails, ['aside']) && $cloth->keeping->setAside ? 1 : 0;
        }
        ksort($counts['place'], \SORT_NATURAL | \SORT_FLAG_CASE);

        return new ClothCounts(
            $counts['kind'],
            $counts['weight'],
            $counts['place'],
            set: $counts['set'],
            unwashed: $unwashed,
            aside: $aside,
        );
    }

    /** @return list<string> */
    private function fails(Cloth $cloth, Assumptions $assumptions): array
    {
        return $this->failed[$cloth] ??= $this->failing($cloth, $assumptions);
    }

    /** @return list<string> the choices that leave a cloth out */
    private function failing(Cloth $cloth, Assumptions $assumptions): array
    {
        $longest = null === $this->atLeast ? null : Stash::longest($cloth, $assumptions);

        return array_keys(
            array_filter([
                'words' => !$this->isCalled($cloth),
                'kind' => '' !== $this->kind && !\in_array(
                    $this->kind,
                    [$cloth->material->structure->value, $cloth->material->type?->value],
                    true,
                ),
                'weight' => null !== $this->weight && $cloth->material->weight?->class !== $this->weight,
                'place' => !Place::isWithin($cloth->keeping->place, $this->place),
                'set' => '' !== $this->set && $cloth->keeping->set !== $this->set,
                'length' => null !== $this->atLeast && (null === $longest || $longest->isLessThan($this->atLeast)),
                'width' => null !== $this->wideAtLeast && (null === $cloth->width || $cloth->width->full->isLessThan($this->wideAtLeast)),
                'unwashed' => $this->unwashed && !$this->isUnwashed($cloth),
                'aside' => $cloth->keeping->setAside !== $this->setAside,
                'colour' => null !== $this->near && $this->distance($cloth) > self::NEAR,
                'free' => null !== $this->taken && !$this->isFree($cloth, $this->taken),
            ]),
        );
    }

    private function isCalled(Cloth $cloth): bool
    {
        $text = '' === $this->words ? '' : mb_strtolower($this->text($cloth));
        foreach (SearchWords::of(mb_strtolower($this->words)) as $word) {
            if (!str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }

    private function text(Cloth $cloth): string
    {
        return implode(' ', [
            $cloth->name,
            $cloth->material->type->value ?? '',
            $cloth->material->structure->value,
            $cloth->keeping->place,
            $cloth->look->print->value,
            $cloth->keeping->notes,
            $cloth->keeping->set,
            ...array_keys($cloth->material->fibres->shares),
        ]);
    }

    private function isUnwashed(Cloth $cloth): bool
    {
        return [] !== array_filter($cloth->cuts, static fn (Cut $cut): bool => !$cut->gone && !$cut->washed);
    }

    /** @param array<string, list<Reservation>> $taken */
    private function isFree(Cloth $cloth, array $taken): bool
    {
        return [] !== array_filter($cloth->cuts, static fn (Cut $cut): bool => !$cut->gone && [] === ($taken[$cut->id] ?? []));
    }

    /** Of its nearest colour from the one that is looked for. */
    private function distance(Cloth $cloth): float
    {
        $near = $this->near;

        return $this->distances[$cloth] ??=
            null === $near || [] === $cloth->look->colours
                ? \INF
                : min(array_map(static fn (string $colour): float => $near->difference(Lab::ofHex($colour)), $cloth->look->colours));
    }

    private function key(Cloth $cloth, Assumptions $assumptions): string|int|float
    {
        if (null !== $this->near) {
            return $this->distance($cloth);
        }

        return match ($this->sort) {
            'length' => -(Stash::longest($cloth, $assumptions)->micrometres ?? 0),
            'width' => -($cloth->width->full->micrometres ?? 0),
            'kind' => $cloth->material->structure->value.' '.($cloth->material->type->value ?? '~'),
            'colour' => self::hue($cloth->look->colours[0] ?? null),
            'place' => '' === $cloth->keeping->place ? '~' : mb_strtolower($cloth->keeping->place),
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

        return 60
            * match (true) {
                $max === $r => fmod(($g - $b) / $span + 6, 6),
                $max === $g => ($b - $r) / $span + 2,
                default => ($r - $g) / $span + 4,
            };
    }
}
