<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\NameGuess;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Warmth;
use Octavum\Core\Cloth\WeightClass;

/** What of a cloth decides whether it suits. */
final readonly class Traits
{
    private const WARM_TYPES = [
        ClothType::Fleece, ClothType::PileFleece, ClothType::BoiledWool, ClothType::Coating, ClothType::Flannel, ClothType::Brushed,
        ClothType::FauxFur, ClothType::Tweed, ClothType::Sweatshirting, ClothType::Wadding,
    ];
    private const COOL_TYPES = [ClothType::Linen, ClothType::Lawn, ClothType::Chambray, ClothType::Net, ClothType::Swim];
    private const BULKY_TYPES = [
        ClothType::Fleece, ClothType::PileFleece, ClothType::BoiledWool, ClothType::FauxFur, ClothType::Sweatshirting,
    ];

    /** Micrometres from which a motif is large, 20 cm: a starting value of the house. */
    private const LARGE_MOTIF = 200_000;

    /** Per cent across of a woven with elastane. Source: docs/rules.md. */
    private const WOVEN_STRETCH = 15;

    /**
     * @param ?Structure $structure null when nobody has said and its type does not tell
     * @param bool       $large     its print has large figures
     * @param bool       $bulky     thick for what it weighs
     * @param bool       $precious  marked so, or dear, or silk
     * @param bool       $unwilling its fibres or its type often take no crease
     * @param ?int       $stretch   per cent across, tested; of a woven cloth by its fibres; null where nobody knows
     * @param bool       $slips     smooth fibres, as linings have them
     * @param bool       $asksNap   it is brushed, and nobody has said whether one way
     * @param ?NameGuess $guess     what its name tells; a word, a figure or a test goes before it
     * @param string     $meantFor  toiles, linings or pockets, by its type or its name; empty for garments
     */
    private function __construct(
        public ?Structure $structure,
        public ?ClothType $type,
        public Feel $feel,
        public ?WeightClass $weight,
        public PrintKind $print,
        public bool $oneWay,
        public bool $large,
        public bool $bulky,
        public bool $precious,
        public bool $unwilling,
        public ?Warmth $warmth,
        public bool $dryClean,
        public ?int $stretch,
        public bool $slips,
        public bool $asksNap,
        public string $meantFor,
        public ?NameGuess $guess,
    ) {
    }

    /** @param int $dear smallest coins a metre from which a cloth is dear */
    public static function of(Cloth $cloth, int $dear): self
    {
        $synthetic = $cloth->material->fibres->shares['polyester'] ?? 0;
        $silk = $cloth->material->fibres->shares['silk'] ?? 0;
        $guess = $cloth->guess();
        $dearly = ($cloth->purchase->pricePerMetre ?? 0) >= $dear || $silk >= 50;

        return new self(
            $cloth->material->isStructureKnown() ? $cloth->material->structure : $guess?->structure,
            $cloth->material->type,
            $cloth->material->feel,
            weight: $cloth->material->weight?->class,
            print: $cloth->look->print,
            oneWay: $cloth->isOneWay(),
            large: PrintKind::Large === $cloth->look->print || ($cloth->look->motif->micrometres ?? 0) >= self::LARGE_MOTIF,
            bulky: \in_array(
                $cloth->material->type,
                self::BULKY_TYPES,
                true,
            ) || WeightClass::VeryHeavy === $cloth->material->weight?->class,
            precious: $cloth->purchase->precious ?? $dearly,
            unwilling: ClothType::Crepe === $cloth->material->type || $synthetic >= 50,
            warmth: self::warmth($cloth) ?? $guess?->warmth,
            dryClean: CareLabel::DryClean === $cloth->material->care,
            stretch: self::stretchOf($cloth),
            slips: self::slips($cloth),
            asksNap: true === $cloth->material->type?->isBrushed() && null === $cloth->look->direction,
            meantFor: self::meantFor($cloth),
            guess: $guess,
        );
    }

    private static function stretchOf(Cloth $cloth): ?int
    {
        $material = $cloth->material;
        $isWoven = $material->isStructureKnown() && Structure::Woven === $material->structure;
        $hasElastane = ($material->fibres->shares['elastane'] ?? 0) > 0;

        return $material->feel->across ?? ($isWoven ? ($hasElastane ? self::WOVEN_STRETCH : 0) : null);
    }

    private static function slips(Cloth $cloth): bool
    {
        $smooth = ($cloth->material->fibres->shares['viscose'] ?? 0) + ($cloth->material->fibres->shares['silk'] ?? 0);

        return ClothType::Lining === $cloth->material->type
            || ClothType::Satin === $cloth->material->type
            || $smooth >= 50
            || 1 === preg_match('/\b(acetate|cupro|bemberg|habotai)\b/i', $cloth->name);
    }

    private static function meantFor(Cloth $cloth): string
    {
        preg_match('/\b(toile|calico|muslin|lining|pocketing|interfacing)s?\b/i', $cloth->name, $said);

        return match (true) {
            ClothType::Lining === $cloth->material->type => 'linings',
            ClothType::Wadding === $cloth->material->type => 'wadding',
            default => ['toile' => 'toiles', 'calico' => 'toiles', 'muslin' => 'toiles', 'lining' => 'linings', 'pocketing' => 'pockets',
                'interfacing' => 'interfacing'][strtolower($said[1] ?? '')] ?? '',
        };
    }

    private static function warmth(Cloth $cloth): ?Warmth
    {
        $wool = $cloth->material->fibres->shares['wool'] ?? 0;
        $light = \in_array($cloth->material->weight?->class, [WeightClass::Sheer, WeightClass::Light], true);

        return match (true) {
            \in_array($cloth->material->type, self::WARM_TYPES, true), $wool >= 50 && !$light => Warmth::Cold,
            \in_array($cloth->material->type, self::COOL_TYPES, true), $light && 0 === $wool => Warmth::Warm,
            default => null,
        };
    }

    /** As tried, else as its weight or its type says: a net and a sheer weight are sheer. */
    public function opacity(): ?Opacity
    {
        $isSheer = WeightClass::Sheer === $this->weight || ClothType::Net === $this->type;

        return $this->feel->opacity ?? ($isSheer ? Opacity::Sheer : null);
    }

    /** The word of its name where nobody has said how sheer it is, and the name tells. */
    public function opacityWord(): ?string
    {
        return null === $this->opacity() && null !== $this->guess?->opacity ? $this->guess->word : null;
    }

    /** Nothing is known of it that decides whether it suits. */
    public function isUnknown(): bool
    {
        return null === $this->structure
            && null === $this->type
            && null === $this->guess
            && null === $this->weight
            && null === $this->feel->drape
            && null === $this->feel->across;
    }

    public function isKnit(): bool
    {
        return Structure::Knit === $this->structure;
    }

    public function isHeavy(): bool
    {
        return WeightClass::Heavy === $this->weight || WeightClass::VeryHeavy === $this->weight;
    }

    public function isLight(): bool
    {
        return WeightClass::Sheer === $this->weight || WeightClass::Light === $this->weight;
    }

    public function isCoatCloth(): bool
    {
        return \in_array($this->guess?->word, ['coating', 'melton'], true);
    }

    public function isBusy(): bool
    {
        return $this->large || \in_array($this->print, [PrintKind::AllOver, PrintKind::Check, PrintKind::Border, PrintKind::Panel], true);
    }
}
