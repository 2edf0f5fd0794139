<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

/** The one thing that clears a snag. */
enum Action: string
{
    case MakeItEnough = 'make it enough';
    case KeepLay = 'keep the lay';
    case ShowCloth = 'show cloth';
    case MeasureWidth = 'measure width';
    case MeasureLength = 'measure length';
    case MarkWashed = 'mark as washed';
    case MarkAllWashed = 'mark all as washed';
    case MarkSteamed = 'mark as steamed';
    case TestStretch = 'test stretch';
    case ChangeCloth = 'change cloth';
    case EnterTable = 'enter table';
    case PlanRole = 'plan role';
    case ChooseInProject = 'choose in project';
    case ShowPattern = 'show pattern';
    case EnterPieces = 'enter pieces';
    case LayAgain = 'lay again';
    case MoveRank = 'move';
    case BuyNotions = 'buy notions';

    public function concern(): Concern
    {
        return match ($this) {
            self::MakeItEnough,
            self::KeepLay,
            self::ShowCloth,
            self::MeasureWidth,
            self::MeasureLength,
            self::MarkWashed,
            self::MarkAllWashed,
            self::MarkSteamed,
            self::TestStretch,
            self::ChangeCloth,
            self::LayAgain => Concern::Cloth,
            self::EnterTable, self::ShowPattern, self::EnterPieces => Concern::Pattern,
            self::BuyNotions => Concern::Notions,
            self::MoveRank => Concern::Time,
            self::PlanRole, self::ChooseInProject => Concern::Project,
        };
    }
}
