<?php

declare(strict_types=1);

namespace Octavum\Core\Need\Block;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;

/** The pieces a garment usually has, in millimetres of the middle size of women's tables, made larger or smaller. */
final readonly class RoughPieces
{
    private const ALLOWANCE = 15;

    /**
     * @param float $around by how much what goes round a body is larger
     * @param float $along  by how much what goes along it is longer
     */
    private function __construct(private float $around, private float $along)
    {
    }

    /** @param float $body steps from the middle size of women's tables, or a child's years */
    public static function for(float $body, bool $child): self
    {
        $around = $child ? 0.42 + 0.035 * $body : 1 + 0.03 * $body;

        return new self($around, $child ? $around : 1.0);
    }

    /** @return list<Piece> none for a garment nobody can guess */
    public function list(Garment $garment): array
    {
        return match ($garment) {
            Garment::Top, Garment::Tee => [...$this->trunk(640, 270), $this->sleeve(230, 320)],
            Garment::Jumper => [...$this->trunk(640, 290), $this->sleeve(600, 240)],
            Garment::Shirt => [
                ...$this->trunk(760, 290),
                $this->sleeve(600, 300),
                $this->small('Yoke', 130, 480),
                $this->small('Collar', 90, 450),
                $this->small('Cuffs', 90, 270, 4),
                $this->small('Front band', 760, 60),
            ],
            Garment::Dress, Garment::Nightwear => [
                ...$this->trunk(420, 230),
                ...$this->skirt(700, 350),
                $this->sleeve(260, 320),
                $this->small('Facings', 80, 400),
            ],
            Garment::Pinafore => [...$this->trunk(420, 240), ...$this->skirt(640, 330), $this->small('Facings', 80, 400)],
            Garment::Skirt => [...$this->skirt(680, 340), $this->small('Waistband', 80, 420)],
            Garment::Trousers => $this->legs(1060, 240),
            Garment::Shorts => $this->legs(500, 300),
            Garment::Jumpsuit => [...$this->trunk(420, 250), ...$this->legs(1050, 260), $this->sleeve(260, 320)],
            Garment::Waistcoat => [...$this->trunk(580, 265), $this->small('Facings', 100, 500)],
            Garment::Jacket => [
                ...$this->trunk(680, 290),
                $this->sleeve(620, 290),
                $this->small('Collar', 110, 470),
                $this->small('Front facing', 660, 120),
                $this->small('Pockets', 200, 180),
            ],
            Garment::Coat => [
                ...$this->trunk(1000, 350),
                $this->sleeve(630, 310),
                $this->small('Collar', 130, 480),
                $this->small('Front facing', 960, 130),
                $this->small('Pockets', 220, 190),
            ],
            Garment::Apron => [
                $this->piece('Apron', Draft::Box, ['length' => 850 * $this->along, 'width' => 700 * $this->around]),
                $this->piece('Ties', Draft::Strip, ['length' => 850 * $this->along, 'width' => 60], 2),
            ],
            Garment::Bag => [$this->small('Side', 450, 400), $this->small('Lining side', 450, 400), $this->small('Strap', 600, 90)],
            Garment::Underwear => [$this->small('Front and back', 300, 260, 4)],
            Garment::Hat => [$this->small('Crown', 180, 320, 4), $this->small('Brim', 280, 420)],
            Garment::Bra,
            Garment::Swimwear,
            Garment::Bib,
            Garment::Toy,
            Garment::Cushion,
            Garment::Quilt,
            Garment::Curtain,
            Garment::Other => [],
        };
    }

    /** @return list<Piece> */
    private function trunk(float $length, float $hem): array
    {
        return [
            $this->bodice('Front', Draft::BodiceFront, $length, $hem, 95),
            $this->bodice('Back', Draft::BodiceBack, $length, $hem, 25),
        ];
    }

    private function bodice(string $name, Draft $draft, float $length, float $hem, float $neck): Piece
    {
        return $this->piece($name, $draft, [
            'length' => $length * $this->along,
            'half chest' => 265 * $this->around,
            'half hem' => $hem * $this->around,
            'shoulder' => 125 * $this->around,
            'half neck' => 78 * $this->around,
            'neck depth' => $neck * $this->along,
            'armhole depth' => 230 * $this->along,
            'shoulder slope' => 40 * $this->along,
        ], onFold: true);
    }

    private function sleeve(float $length, float $hem): Piece
    {
        return $this->piece('Sleeve', Draft::Sleeve, [
            'length' => $length * $this->along,
            'cap height' => 125 * $this->along,
            'upper arm' => 370 * $this->around,
            'hem' => $hem * $this->around,
        ], 2, true);
    }

    /** @return list<Piece> */
    private function skirt(float $length, float $hem): array
    {
        return array_map(fn (string $name): Piece => $this->piece($name, Draft::FlaredPanel, [
            'length' => $length * $this->along,
            'half waist' => 210 * $this->around,
            'half hem' => $hem * $this->around,
            'waist curve' => 15,
        ], onFold: true), ['Skirt front', 'Skirt back']);
    }

    /** @return list<Piece> */
    private function legs(float $length, float $hem): array
    {
        $leg = ['length' => $length * $this->along, 'crotch depth' => 290 * $this->along];

        return [
            $this->piece('Leg front', Draft::TrouserFront, $leg + [
                'waist' => 230 * $this->around,
                'hip' => 255 * $this->around,
                'crotch' => 62 * $this->around,
                'hem' => $hem * $this->around,
            ], 2, true),
            $this->piece('Leg back', Draft::TrouserBack, $leg + [
                'waist' => 245 * $this->around,
                'hip' => 275 * $this->around,
                'crotch' => 120 * $this->around,
                'hem' => ($hem + 30) * $this->around,
                'raised back' => 35,
            ], 2, true),
            $this->piece('Waistband', Draft::Waistband, ['length' => 420 * $this->around, 'height' => 80], 2),
        ];
    }

    private function small(string $name, float $length, float $width, int $quantity = 2): Piece
    {
        return $this->piece($name, Draft::Box, ['length' => $length * $this->along, 'width' => $width * $this->around], $quantity, true);
    }

    /** @param array<string, float> $measures */
    private function piece(string $name, Draft $draft, array $measures, int $quantity = 1, bool $pair = false, bool $onFold = false): Piece
    {
        $shape = Shape::drafted(Drafted::of($draft, $measures), [], Length::ofMillimetres(self::ALLOWANCE));

        return new Piece($name, Role::Main, $quantity, $pair, $onFold, shapes: [$shape]);
    }
}
