<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Gate;

use Octavum\Core\Season\Snag\Action;

/** What is looked at before the scissors; cutting cannot be undone. Source: docs/rules.md. */
enum Check: string
{
    case Here = 'here';
    case Enough = 'enough';
    case Laid = 'laid';
    case Washed = 'washed';
    case Measured = 'measured';
    case Pattern = 'pattern';
    case Alterations = 'alterations';
    case Toile = 'toile';
    case Notions = 'notions';
    case Pressed = 'pressed';
    case Squared = 'squared';
    case Pieces = 'pieces';
    case RightSide = 'right side';

    /** Which check a snag of a role or of notions stands in the way of; null where it is another's matter. */
    public static function of(Action $action): ?self
    {
        return match ($action) {
            Action::ShowCloth, Action::MakeItEnough, Action::KeepLay, Action::MoveRank => self::Enough,
            Action::LayAgain => self::Laid,
            Action::MarkWashed, Action::MarkSteamed => self::Washed,
            Action::MeasureLength, Action::MeasureWidth => self::Measured,
            Action::BuyNotions => self::Notions,
            default => null,
        };
    }
}
