<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

/** What a garment has, and people like or do not; in short lists, of which a version may have several from each. */
enum Feature: string
{
    case RoundNeck = 'round neck';
    case VNeck = 'V neck';
    case SquareNeck = 'square neck';
    case BoatNeck = 'boat neck';
    case LowNeck = 'low neck';
    case HighNeck = 'high neck';
    case Collar = 'collar';
    case Hood = 'hood';
    case Sleeveless = 'sleeveless';
    case ShortSleeves = 'short sleeves';
    case ThreeQuarterSleeves = 'three-quarter sleeves';
    case LongSleeves = 'long sleeves';
    case SetInSleeves = 'set-in sleeves';
    case RaglanSleeves = 'raglan sleeves';
    case SleevesInOne = 'sleeves cut in one';
    case PuffedSleeves = 'puffed sleeves';
    case Buttons = 'buttons';
    case Zip = 'zip';
    case PullOn = 'pulled on';
    case OpenFront = 'open front';
    case WrapFront = 'wrap front';
    case ElasticWaist = 'elastic waist';
    case ElasticBack = 'elastic at the back';
    case WaistSeam = 'waist seam';
    case Ties = 'ties';
    case Pockets = 'pockets';
    case Fitted = 'fitted';
    case Easy = 'easy';
    case Loose = 'loose';
    case Boxy = 'boxy';
    case Cropped = 'cropped';
    case AboveTheKnee = 'above the knee';
    case BelowTheKnee = 'below the knee';
    case ToTheAnkle = 'to the ankle';
    case Full = 'full skirt';

    /** The short list it stands in. */
    public function list(): string
    {
        return match ($this) {
            self::RoundNeck,
            self::VNeck,
            self::SquareNeck,
            self::BoatNeck,
            self::LowNeck,
            self::HighNeck,
            self::Collar,
            self::Hood => 'neck',
            self::Sleeveless,
            self::ShortSleeves,
            self::ThreeQuarterSleeves,
            self::LongSleeves,
            self::SetInSleeves,
            self::RaglanSleeves,
            self::SleevesInOne,
            self::PuffedSleeves => 'sleeves',
            self::Buttons, self::Zip, self::PullOn, self::OpenFront, self::WrapFront => 'front and closure',
            self::ElasticWaist, self::ElasticBack, self::WaistSeam, self::Ties => 'waist',
            self::Pockets => 'pockets',
            self::Fitted, self::Easy, self::Loose, self::Boxy => 'ease',
            self::Cropped, self::AboveTheKnee, self::BelowTheKnee, self::ToTheAnkle, self::Full => 'length and skirt',
        };
    }

    /** @return array<string, list<self>> each short list by its name */
    public static function lists(): array
    {
        $lists = [];
        foreach (self::cases() as $feature) {
            $lists[$feature->list()][] = $feature;
        }

        return $lists;
    }
}
