<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Fibre;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;

/** The words people use of cloth, and what they mean. Longer ones first where one holds another. */
final readonly class ClothWords
{
    /** @var array<string, array{ClothType, ?Structure}> */
    public const TYPES = [
        'french terry' => [ClothType::FrenchTerry, Structure::Knit], 'loopback' => [ClothType::FrenchTerry, Structure::Knit],
        'terry' => [ClothType::FrenchTerry, Structure::Knit],
        'sweatshirting' => [ClothType::Sweatshirting, Structure::Knit], 'sweatshirt fleece' => [ClothType::Sweatshirting, Structure::Knit],
        'sweat' => [ClothType::Sweatshirting, Structure::Knit],
        'boiled wool' => [ClothType::BoiledWool, null], 'lining' => [ClothType::Lining, Structure::Woven],
        'needlecord' => [ClothType::Corduroy, Structure::Woven],
        'corduroy' => [ClothType::Corduroy, Structure::Woven], 'cord' => [ClothType::Corduroy, Structure::Woven],
        'babycord' => [ClothType::Corduroy, Structure::Woven],
        'velveteen' => [ClothType::Velveteen, Structure::Woven], 'velour' => [ClothType::Velour, Structure::Knit],
        'panne velvet' => [ClothType::Panne, Structure::Knit], 'panne' => [ClothType::Panne, Structure::Knit],
        'faux fur' => [ClothType::FauxFur, Structure::Knit], 'fake fur' => [ClothType::FauxFur, Structure::Knit],
        'sherpa' => [ClothType::PileFleece, Structure::Knit], 'teddy fleece' => [ClothType::PileFleece, Structure::Knit],
        'pile fleece' => [ClothType::PileFleece, Structure::Knit], 'brushed cotton' => [ClothType::Brushed, Structure::Woven],
        'moleskin' => [ClothType::Brushed, Structure::Woven], 'velvet' => [ClothType::Velvet, null],
        'chambray' => [ClothType::Chambray, Structure::Woven],
        'interlock' => [ClothType::Interlock, Structure::Knit], 'jersey' => [ClothType::Jersey, Structure::Knit],
        'ribbing' => [ClothType::Rib, Structure::Knit], 'rib knit' => [ClothType::Rib, Structure::Knit],
        'rib' => [ClothType::Rib, Structure::Knit],
        'ponte roma' => [ClothType::Ponte, Structure::Knit], 'ponte' => [ClothType::Ponte, Structure::Knit],
        'fleece' => [ClothType::Fleece, Structure::Knit], 'swim' => [ClothType::Swim, Structure::Knit],
        'swimwear' => [ClothType::Swim, Structure::Knit],
        'poplin' => [ClothType::Poplin, Structure::Woven], 'shirting' => [ClothType::Poplin, Structure::Woven],
        'lawn' => [ClothType::Lawn, Structure::Woven], 'voile' => [ClothType::Lawn, Structure::Woven],
        'batiste' => [ClothType::Lawn, Structure::Woven], 'cambric' => [ClothType::Lawn, Structure::Woven],
        'twill' => [ClothType::Twill, Structure::Woven], 'drill' => [ClothType::Twill, Structure::Woven],
        'gabardine' => [ClothType::Twill, Structure::Woven], 'gaberdine' => [ClothType::Twill, Structure::Woven],
        'chino' => [ClothType::Twill, Structure::Woven],
        'denim' => [ClothType::Denim, Structure::Woven], 'crêpe' => [ClothType::Crepe, Structure::Woven],
        'crepe' => [ClothType::Crepe, Structure::Woven], 'georgette' => [ClothType::Crepe, Structure::Woven],
        'flannel' => [ClothType::Flannel, Structure::Woven], 'flannelette' => [ClothType::Flannel, Structure::Woven],
        'coating' => [ClothType::Coating, Structure::Woven], 'melton' => [ClothType::Coating, Structure::Woven],
        'suiting' => [ClothType::Suiting, Structure::Woven],
        'tweed' => [ClothType::Tweed, Structure::Woven], 'canvas' => [ClothType::Canvas, Structure::Woven],
        'duck' => [ClothType::Canvas, Structure::Woven], 'sailcloth' => [ClothType::Canvas, Structure::Woven],
        'sateen' => [ClothType::Satin, Structure::Woven], 'satin' => [ClothType::Satin, Structure::Woven],
        'charmeuse' => [ClothType::Satin, Structure::Woven], 'tulle' => [ClothType::Net, null],
        'net' => [ClothType::Net, null],
        'wadding' => [ClothType::Wadding, Structure::NonWoven], 'batting' => [ClothType::Wadding, Structure::NonWoven],
        'seersucker' => [ClothType::Other, Structure::Woven], 'double gauze' => [ClothType::Other, Structure::Woven],
        'gauze' => [ClothType::Other, Structure::Woven], 'muslin' => [ClothType::Other, Structure::Woven],
        'calico' => [ClothType::Other, Structure::Woven],
        'felt' => [ClothType::Other, Structure::NonWoven], 'organza' => [ClothType::Other, Structure::Woven],
        'chiffon' => [ClothType::Other, Structure::Woven], 'lace' => [ClothType::Other, null],
    ];

    /** @var array<string, Structure> */
    public const STRUCTURES = ['knit' => Structure::Knit, 'knitted' => Structure::Knit, 'woven' => Structure::Woven];

    /** @var array<string, Fibre> */
    public const FIBRES = [
        'cotton' => Fibre::Cotton, 'cott' => Fibre::Cotton, 'cot' => Fibre::Cotton, 'co' => Fibre::Cotton, 'linen' => Fibre::Linen,
        'flax' => Fibre::Linen, 'lin' => Fibre::Linen, 'hemp' => Fibre::Hemp,
        'viscose' => Fibre::Viscose, 'visc' => Fibre::Viscose, 'rayon' => Fibre::Viscose, 'bamboo' => Fibre::Viscose,
        'lyocell' => Fibre::Lyocell, 'modal' => Fibre::Modal,
        'wool' => Fibre::Wool, 'merino' => Fibre::Wool, 'lambswool' => Fibre::Wool, 'silk' => Fibre::Silk, 'polyester' => Fibre::Polyester,
        'poly' => Fibre::Polyester, 'pes' => Fibre::Polyester,
        'polyamide' => Fibre::Nylon, 'nylon' => Fibre::Nylon, 'acrylic' => Fibre::Acrylic, 'elastane' => Fibre::Elastane,
        'elasthane' => Fibre::Elastane, 'spandex' => Fibre::Elastane, 'elast' => Fibre::Elastane, 'el' => Fibre::Elastane,
        'ea' => Fibre::Elastane,
        'acetate' => Fibre::Other, 'cupro' => Fibre::Other, 'ramie' => Fibre::Other, 'cashmere' => Fibre::Wool,
    ];

    /** @var list<string> fibres too short to be one without a share beside them */
    public const ONLY_WITH_SHARE = ['co', 'cot', 'cott', 'lin', 'visc', 'el', 'ea', 'elast', 'pes'];

    /** @var array<string, PrintKind> */
    public const PRINTS = [
        'striped' => PrintKind::Stripe, 'stripes' => PrintKind::Stripe, 'stripe' => PrintKind::Stripe, 'stripy' => PrintKind::Stripe,
        'pinstripe' => PrintKind::Stripe,
        'gingham' => PrintKind::Check, 'checked' => PrintKind::Check, 'check' => PrintKind::Check, 'checks' => PrintKind::Check,
        'plaid' => PrintKind::Check, 'tartan' => PrintKind::Check,
        'border print' => PrintKind::Border, 'border' => PrintKind::Border, 'panel' => PrintKind::Panel, 'large print' => PrintKind::Large,
        'big print' => PrintKind::Large, 'large motif' => PrintKind::Large, 'big flowers' => PrintKind::Large,
        'polka dot' => PrintKind::AllOver, 'spotted' => PrintKind::AllOver, 'spots' => PrintKind::AllOver, 'dots' => PrintKind::AllOver,
        'dotty' => PrintKind::AllOver, 'floral' => PrintKind::AllOver, 'flowers' => PrintKind::AllOver, 'ditsy' => PrintKind::AllOver,
        'printed' => PrintKind::AllOver, 'print' => PrintKind::AllOver,
        'plain' => PrintKind::Plain, 'solid' => PrintKind::Plain,
    ];

    /** @var array<string, Direction> */
    public const DIRECTIONS = [
        'one-way' => Direction::OneWay, 'one way' => Direction::OneWay, 'directional' => Direction::OneWay, 'with nap' => Direction::OneWay,
        'two-way' => Direction::TwoWay, 'two way' => Direction::TwoWay,
    ];

    /** @var array<string, WeightClass> */
    public const WEIGHTS = [
        'very heavy' => WeightClass::VeryHeavy, 'heavyweight' => WeightClass::Heavy, 'heavy' => WeightClass::Heavy,
        'mediumweight' => WeightClass::Medium, 'medium weight' => WeightClass::Medium, 'midweight' => WeightClass::Medium,
        'mid weight' => WeightClass::Medium, 'medium' => WeightClass::Medium,
        'lightweight' => WeightClass::Light, 'light weight' => WeightClass::Light, 'sheer' => WeightClass::Sheer,
    ];

    /** @var array<string, Drape> */
    public const DRAPES = [
        'very drapey' => Drape::Fluid, 'fluid' => Drape::Fluid, 'floaty' => Drape::Fluid, 'slinky' => Drape::Fluid,
        'drapey' => Drape::Flowing, 'drapy' => Drape::Flowing, 'flowing' => Drape::Flowing, 'flowy' => Drape::Flowing,
        'crisp' => Drape::Crisp, 'stiff' => Drape::Crisp, 'firm' => Drape::Firm,
    ];

    /** @var array<string, Opacity> */
    public const OPACITIES = [
        'slightly sheer' => Opacity::SlightlySheer, 'a bit sheer' => Opacity::SlightlySheer, 'a little sheer' => Opacity::SlightlySheer,
        'slightly see through' => Opacity::SlightlySheer, 'slightly see-through' => Opacity::SlightlySheer,
        'slightly transparent' => Opacity::SlightlySheer, 'semi-transparent' => Opacity::SlightlySheer,
        'semi-sheer' => Opacity::SlightlySheer, 'semi sheer' => Opacity::SlightlySheer, 'see-through' => Opacity::Sheer,
        'see through' => Opacity::Sheer, 'transparent' => Opacity::Sheer, 'opaque' => Opacity::Opaque,
    ];

    /** @var array<string, string> #rrggbb; the usual names, and none after a brand */
    public const COLOURS = [
        'bottle green' => '#0f4a35', 'forest green' => '#24512f', 'olive green' => '#6b6f35', 'sage green' => '#93a388',
        'mint green' => '#a9d8bd', 'emerald green' => '#1a8a5a', 'lime green' => '#a4c639', 'sea green' => '#3f8f77',
        'dark green' => '#1f4d32', 'light green' => '#a5cfa0',
        'navy blue' => '#1f2a4d', 'royal blue' => '#2748b5', 'sky blue' => '#8fc3e6', 'pale blue' => '#b9d6ea', 'light blue' => '#a7cbe6',
        'dark blue' => '#22336b', 'powder blue' => '#b5cfe0', 'petrol blue' => '#1d5a6b', 'baby blue' => '#b8d8ee',
        'pale pink' => '#f2cfd3', 'dusty pink' => '#cf9da0', 'hot pink' => '#e0408a', 'baby pink' => '#f3c9d6', 'light pink' => '#f2c4ce',
        'brick red' => '#9c3f31', 'dark red' => '#7f1f26', 'light grey' => '#c9cdcc', 'dark grey' => '#4c5154', 'pale grey' => '#d4d8d6',
        'charcoal grey' => '#3f4447', 'off white' => '#f3efe4', 'off-white' => '#f3efe4',
        'navy' => '#1f2a4d', 'teal' => '#1b6f72', 'petrol' => '#1d5a6b', 'turquoise' => '#35b5b0', 'aqua' => '#7fd0cf',
        'indigo' => '#34386d', 'cobalt' => '#1f4fb0', 'denim blue' => '#4a6c94', 'blue' => '#3565ad',
        'olive' => '#6b6f35', 'sage' => '#93a388', 'khaki' => '#8b8257', 'moss' => '#66703f', 'mint' => '#a9d8bd', 'emerald' => '#1a8a5a',
        'lime' => '#a4c639', 'fern' => '#5a8a4a', 'green' => '#3c8a4e',
        'plum' => '#5f2a4c', 'aubergine' => '#43253c', 'lilac' => '#c5aad6', 'lavender' => '#b9aed8', 'mauve' => '#a88aa8',
        'purple' => '#6d3f8c', 'violet' => '#7a4fa3', 'magenta' => '#b5297a', 'fuchsia' => '#c9338a',
        'burgundy' => '#6a1f31', 'maroon' => '#682430', 'wine' => '#6f2238', 'crimson' => '#a5192f', 'scarlet' => '#cc2a26',
        'rust' => '#a94f28', 'brick' => '#9c3f31', 'terracotta' => '#bd6547', 'red' => '#c22f2f',
        'coral' => '#ef7f68', 'salmon' => '#ee9a86', 'peach' => '#f5c3a2', 'apricot' => '#f0b17c', 'rose' => '#d58a95',
        'blush' => '#ecc7c3', 'pink' => '#e29bb0',
        'orange' => '#e5822e', 'mustard' => '#cf9c2c', 'ochre' => '#c18a34', 'gold' => '#c9a13b', 'lemon' => '#f2e27a',
        'yellow' => '#ecc83f',
        'chocolate' => '#4d3226', 'tan' => '#bd9468', 'camel' => '#b98c5a', 'caramel' => '#ab7440', 'toffee' => '#93633a',
        'brown' => '#6d4a34', 'taupe' => '#8e8072', 'beige' => '#d6c6a8', 'sand' => '#d9c59c', 'stone' => '#c6bca8', 'oatmeal' => '#d8ccb4',
        'oat' => '#d8ccb4', 'biscuit' => '#d3b98e', 'ecru' => '#ece2c8', 'cream' => '#f4ecd4', 'ivory' => '#f5f0e0',
        'charcoal' => '#3f4447', 'slate' => '#5b6770', 'silver' => '#bcc2c4', 'grey' => '#8b9192', 'gray' => '#8b9192',
        'chalk' => '#efeee6', 'white' => '#fafafa', 'black' => '#1c1d1f', 'natural' => '#e2d6bd', 'bleached' => '#f6f3ea',
    ];

    /** @var list<string> that begin the name of a place */
    public const PLACES = [
        'locker', 'box', 'shelf', 'drawer', 'cupboard', 'wardrobe', 'trunk', 'bin', 'basket', 'attic', 'loft', 'crate', 'chest', 'suitcase',
        'hanger',
    ];
}
