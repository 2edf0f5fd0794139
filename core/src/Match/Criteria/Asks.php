<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;

/** What a version asks of a cloth and of whoever sews it. */
final readonly class Asks
{
    /** Seams that cut a print, by garment; each of the techniques that divide it adds to them. A starting value of the house. */
    private const DIVIDING = [Technique::Darts, Technique::WeltPocket, Technique::CollarStand, Technique::Pleats, Technique::SetInSleeve];

    public int $seams;

    /**
     * @param list<Technique>       $techniques
     * @param list<Feature>         $features
     * @param array<string, Liking> $likings    of whom it is for, by feature
     * @param bool                  $lined      its table asks for lining
     * @param Experience            $experience with it, for whom and in the size it is for
     */
    private function __construct(
        public Garment $garment,
        public ?Structure $onlyFor,
        public ClothAdvice $advice,
        public array $techniques,
        public array $features,
        public array $likings,
        public bool $lined,
        public bool $child,
        public Experience $experience,
        public Sewist $sewist,
    ) {
        $divided = array_filter($techniques, static fn (Technique $one): bool => \in_array($one, self::DIVIDING, true));
        $this->seams = self::seamsOf($garment) + \count($divided);
    }

    public static function of(
        Pattern $pattern,
        Version $version,
        ?Person $for = null,
        Sewist $sewist = new Sewist(),
        ?string $size = null,
    ): self {
        return new self(
            $pattern->makes->garment,
            $pattern->makes->onlyFor,
            $pattern->makes->advice,
            techniques: $pattern->makes->techniques,
            features: $version->features,
            likings: $for->likings ?? [],
            lined: \in_array(
                Technique::Lining,
                $pattern->makes->techniques,
                true,
            ) || \in_array(Role::Lining, $version->table->roles(), true),
            child: true === $for?->child,
            experience: Experience::of($sewist->made[$pattern->id] ?? [], $version->id, $version->table, $for?->id, $size),
            sewist: $sewist,
        );
    }

    public function uses(Technique ...$any): ?Technique
    {
        foreach ($any as $technique) {
            if (\in_array($technique, $this->techniques, true)) {
                return $technique;
            }
        }

        return null;
    }

    public function has(Feature ...$any): ?Feature
    {
        foreach ($any as $feature) {
            if (\in_array($feature, $this->features, true)) {
                return $feature;
            }
        }

        return null;
    }

    private static function seamsOf(Garment $garment): int
    {
        return match ($garment) {
            Garment::Jacket, Garment::Coat => 8,
            Garment::Shirt, Garment::Waistcoat, Garment::Trousers, Garment::Jumpsuit => 6,
            Garment::Dress, Garment::Pinafore, Garment::Nightwear, Garment::Shorts, Garment::Bra => 4,
            default => 2,
        };
    }
}
