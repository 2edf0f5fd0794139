<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** Says what is wrong with a lay. */
final readonly class FaultWords
{
    /** @param array<string, string> $names of pieces and cuts, by id; what has none goes by its id */
    public function __construct(private array $names = [])
    {
    }

    public function say(Fault $fault): Sentence
    {
        return new Sentence($this->words($fault), array_map(
            fn (string|int|float $value): string|int|Figure => match (true) {
                \is_string($value) => $this->names[$value] ?? $value,
                \is_float($value) => Figure::exact(Length::ofMillimetres(round($value, 1))),
                default => $value,
            },
            $fault->about,
        ));
    }

    private function words(Fault $fault): string
    {
        return match ($fault->kind) {
            FaultKind::FiguresHidden => 'pieces are laid to the figures of the print, which are seen only where the cloth lies flat',
            FaultKind::EdgeFolded => 'a piece that lies at the edge of the cloth is laid flat, or folded crosswise',
            FaultKind::AcrossGate => 'a piece lies across the cloth: with both selvages in the middle its copies would not point '
                .'the same way',
            FaultKind::LockedInPart => 'pieces cannot be locked where the cloth is part folded, part flat',
            FaultKind::OneWayCrosswise => 'folded crosswise, one layer would point the other way, and the cloth is one-way',
            FaultKind::IrregularFolded => 'an irregular cut is laid flat',
            FaultKind::PartOfSeveral => 'part folded, part flat is for one straight cut',
            FaultKind::MatchedInPart => 'a repeat cannot be matched where the cloth is part folded, part flat',
            FaultKind::AllDouble => 'every piece can be cut double: nothing is left to lay flat',
            FaultKind::NoneDouble => 'no piece can be cut double',
            FaultKind::GrainOffFold => 'piece {piece} lies on the fold, and its grain does not run along it',
            FaultKind::OddCopies => 1 === $fault->about['wanted']
                ? 'piece {piece} is wanted once: from two layers it would be cut twice at once'
                : 'piece {piece} is wanted {wanted} times: from two layers it would be cut twice at once',
            FaultKind::SameWayOver => 'both copies of piece {piece} are the same way over, and two layers give one of each',
            FaultKind::PartTooLong => 'part folded, part flat would use {length}, more than the cut has',
            FaultKind::NoTime => 'no time was left to try it',
            FaultKind::TooLarge => '{piece}, {length} long and {width} wide when it is opened, is longer or wider than every cut',
            FaultKind::NoRoomFor => 'no room is left for {piece}',
            FaultKind::NoRoom => 'no room is left for it on any cut',
            FaultKind::WiderThanLane => 'it is wider than the cloth laid this way',
            FaultKind::NotLaidYet => 'not laid yet',
            FaultKind::OtherCut => '{piece} {copy} lies on another cut',
            FaultKind::OffCloth => '{piece} {copy} leaves the cloth',
            FaultKind::AcrossMiddle => '{piece} {copy} lies across the middle, where the selvages meet',
            FaultKind::OffFold => '{piece} {copy} does not lie at the fold',
            FaultKind::OffEdge => '{piece} {copy} does not lie with its lower end at the edge',
            FaultKind::StillFolded => '{piece} {copy} lies where the cloth is still folded',
            FaultKind::NoCloth => '{piece} {copy} lies where there is no cloth',
            FaultKind::WrongTurn => '{piece} {copy} is turned against its grain or the print',
            FaultKind::OtherShape => '{piece} {copy} is drawn in another shape than its own',
            FaultKind::Overlap => '{piece} {copy} and {other} {otherCopy} overlap',
            FaultKind::Count => 'of piece {piece}, {wanted} copies are wanted and {found} are accounted for',
            FaultKind::NotTurnedOver => 'half of piece {piece} should be turned over',
            FaultKind::NotMatched => '{piece} {copy} does not match',
            FaultKind::OffFigures => '{piece} {copy} does not lie to the figures as it should',
            FaultKind::WrongLength => '{length} of cut {cut} are reported and {used} are used',
        };
    }
}
