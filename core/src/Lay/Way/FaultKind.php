<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

/** What can be wrong with a lay, or with a way of laying. */
enum FaultKind
{
    // a way of laying that will not do
    case FiguresHidden;
    case EdgeFolded;
    case AcrossGate;
    case LockedInPart;
    case OneWayCrosswise;
    case IrregularFolded;
    case PartOfSeveral;
    case MatchedInPart;
    case AllDouble;
    case NoneDouble;
    case GrainOffFold;
    case OddCopies;
    case SameWayOver;
    case PartTooLong;
    case NoTime;

    // a piece that is not laid
    case TooLarge;
    case NoRoomFor;
    case NoRoom;
    case WiderThanLane;
    case NotLaidYet;

    // a piece that lies wrongly
    case OtherCut;
    case OffCloth;
    case AcrossMiddle;
    case OffFold;
    case OffEdge;
    case StillFolded;
    case NoCloth;
    case WrongTurn;
    case OtherShape;
    case Overlap;
    case Count;
    case NotTurnedOver;
    case NotMatched;
    case OffFigures;
    case WrongLength;
}
