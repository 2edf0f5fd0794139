<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;

/**
 * Gives the notions of a stash out to projects in their order. Kinds are summed up without mixing sizes; a zip up to 2 cm
 * too long will do, one too short will not. Section 14 of the domain.
 */
final readonly class Allotment
{
    /** @param list<Notion> $stash */
    public function __construct(private array $stash)
    {
    }

    /**
     * @param array<string, list<string>> $lines as the envelopes list them, by project in the order of giving out
     *
     * @return array<string, list<NotionAnswer>> by project
     */
    public function of(array $lines): array
    {
        $left = $this->amounts();
        $reader = new NotionReader();
        $answers = [];
        foreach ($lines as $project => $wanted) {
            $answers[$project] = [];
            foreach ($wanted as $line) {
                $answers[$project][] = $this->answer($line, $reader->read($line), $left);
            }
        }

        return $answers;
    }

    /**
     * What a stash is when one project's notions have been taken out of it.
     *
     * @param list<string> $lines as its envelope lists them
     *
     * @return list<Notion> those that changed, with what is left of them
     */
    public function without(array $lines): array
    {
        $left = $before = $this->amounts();
        $reader = new NotionReader();
        foreach ($lines as $line) {
            $this->answer($line, $reader->read($line), $left);
        }
        $changed = [];
        foreach ($this->stash as $i => $notion) {
            if ($left[$i] !== $before[$i]) {
                $byLength = $notion->kind->goesByLength();
                $changed[] = new Notion($notion->id, $notion->kind, $notion->measure, $byLength ? $notion->count : $left[$i], $byLength ? (0 === $left[$i] ? null : Length::ofMicrometres($left[$i])) : $notion->length, $notion->name, $notion->place, $notion->notes);
            }
        }

        return $changed;
    }

    /** @return array<int, int> of each notion of the stash: a number, or micrometres */
    private function amounts(): array
    {
        return array_map(static fn (Notion $notion): int => $notion->kind->goesByLength() ? $notion->length->micrometres ?? 0 : $notion->count ?? 1, $this->stash);
    }

    /** @param array<int, int> $left of each notion of the stash: a number, or micrometres */
    private function answer(string $text, Notion $wanted, array &$left): NotionAnswer
    {
        $byLength = $wanted->kind->goesByLength();
        $amount = $byLength ? $wanted->length?->micrometres : $wanted->count ?? 1;
        $with = ['notion' => $text];
        if (NotionKind::Other === $wanted->kind || null === $amount) {
            $some = NotionKind::Other !== $wanted->kind && [] !== $this->fitting($wanted, $left);

            return new NotionAnswer($text, $wanted, null, null, null, new Sentence(match (true) {
                NotionKind::Other === $wanted->kind => '{notion}: look whether it is here.',
                $some => '{notion}: some is here; how much it takes is not said.',
                default => '{notion}: none is here; how much it takes is not said.',
            }, $with));
        }
        $missing = $amount;
        $longer = null;
        foreach ($this->fitting($wanted, $left) as $i) {
            // What goes by length is wanted in one piece.
            $taken = $byLength ? ($left[$i] >= $missing ? $missing : 0) : min($missing, $left[$i]);
            $left[$i] -= $taken;
            $missing -= $taken;
            $measure = $this->stash[$i]->measure;
            $longer = $taken > 0 && NotionKind::Zip === $wanted->kind && null !== $measure && null !== $wanted->measure && $wanted->measure->isLessThan($measure) ? $measure : $longer;
            if (0 === $missing) {
                break;
            }
        }
        if (0 === $missing) {
            return new NotionAnswer($text, $wanted, true, 0, null, null === $longer ? new Sentence('{notion}: here.', $with) : new Sentence('{notion}: one of {length} is here, a little too long and usable.', $with + ['length' => Figure::notion($longer)]));
        }
        $short = $byLength ? Length::ofMicrometres($missing) : null;

        return new NotionAnswer($text, $wanted, false, $byLength ? null : $missing, $short, match (true) {
            null !== $short => new Sentence('{notion}: not here in one piece; {missing} to buy.', $with + ['missing' => Figure::needed($short)]),
            $missing < $amount => new Sentence('{notion}: {have} here, {missing} to buy.', $with + ['have' => $amount - $missing, 'missing' => $missing]),
            default => new Sentence('{notion}: to buy.', $with),
        });
    }

    /**
     * @param array<int, int> $left
     *
     * @return list<int> of those in the stash that would do, the nearest in measure first
     */
    private function fitting(Notion $wanted, array $left): array
    {
        $fitting = [];
        foreach ($this->stash as $i => $notion) {
            $over = null === $wanted->measure || null === $notion->measure ? 0 : $notion->measure->minus($wanted->measure)->micrometres;
            $allowed = NotionKind::Zip === $wanted->kind ? Length::of('2', Unit::Centimetre)->micrometres : 500;
            $least = NotionKind::Zip === $wanted->kind ? 0 : -500;
            $known = null === $wanted->measure || null !== $notion->measure;
            if ($notion->kind === $wanted->kind && $left[$i] > 0 && $known && $over >= $least && $over <= $allowed) {
                $fitting[$i] = $over;
            }
        }
        asort($fitting);

        return array_keys($fitting);
    }
}
