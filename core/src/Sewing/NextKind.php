<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

/** What is to be done next for a project. */
enum NextKind: string
{
    case PlanIt = 'plan it';
    case ChooseCloth = 'choose a cloth';
    case KeepLay = 'keep that lay';
    case MakeEnough = 'make it enough';
    case ClearSnag = 'clear the snag';
    case Buy = 'see what to buy';
    case PassGate = 'before cutting';
    case SewStep = 'next step';
    case TellFinding = 'how it turned out';
}
