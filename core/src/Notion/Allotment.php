<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Reading\ClothWords;

/**
 * Gives the notions of a stash out to projects in their order. Kinds are summed up without mixing sizes; a zip up to 2 cm
 * too long will do, one too short will not, nor a plain one for one that separates; buttons make a set when they look
 * alike; thread goes by its colour. Source: docs/rules.md.
 */
final readonly class Allotment
{
    private const SEPARATING = 'separating|separable|open[- ]?end(?:ed)?|divisible|two[- ]way';
    /** Words that tell two tapes or trimmings apart. */
    private const SORTS = 'hook and loop|webbing|twill|stay|seam|fusible|hem|lace|braid|ric-? ?rac|fringe';
    private const INVISIBLE = 'invisible|concealed';
    private const VISIBLE = 'metal|brass|jeans|chunky|plain|exposed';

    /** @param list<Notion> $stash */
    public function __construct(private array $stash)
    {
    }

    /**
     * @param array<string, list<string>> $lines as the envelopes list them, by project in the order of giving out
     *
     * @return array<string, list<NotionAnswer>> by project
     */
    public function allot(array $lines): array
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
                $changed[] = new Notion(
                    $notion->id,
                    $notion->kind,
                    $notion->measure,
                    count: $byLength ? $notion->count : $left[$i],
                    length: $byLength ? (0 === $left[$i] ? null : Length::ofMicrometres($left[$i])) : $notion->length,
                    name: $notion->name,
                    place: $notion->place,
                    notes: $notion->notes,
                    expected: $notion->expected,
                );
            }
        }

        return $changed;
    }

    /** @return array<int, int> of each notion of the stash: a number, or micrometres */
    private function amounts(): array
    {
        return array_map(
            static fn (Notion $notion): int => $notion->kind->goesByLength() ? $notion->length->micrometres ?? 0 : $notion->count ?? 1,
            $this->stash,
        );
    }

    /** @param array<int, int> $left of each notion of the stash: a number, or micrometres */
    private function answer(string $text, Notion $wanted, array &$left): NotionAnswer
    {
        $byLength = $wanted->kind->goesByLength();
        $amount = $byLength ? $wanted->length?->micrometres : $wanted->count ?? 1;
        $with = ['notion' => $text];
        if (NotionKind::Other === $wanted->kind || null === $amount) {
            $some = NotionKind::Other !== $wanted->kind && [] !== $this->fitting($wanted, $left);

            return new NotionAnswer(
                $text,
                $wanted,
                null,
                missing: null,
                short: null,
                sentence: new Sentence(
                    match (true) {
                        NotionKind::Other === $wanted->kind => '{notion}: look whether it is here.',
                        $some => '{notion}: some is here, but the amount it takes is not set.',
                        default => '{notion}: none is here, and the amount it takes is not set.',
                    },
                    $with,
                ),
            );
        }
        $missing = $amount;
        $longer = $comes = null;
        foreach (NotionKind::Button === $wanted->kind ? $this->set($wanted, $left) : $this->fitting($wanted, $left) as $i) {
            // What goes by length is wanted in one piece.
            $taken = $byLength ? ($left[$i] >= $missing ? $missing : 0) : min($missing, $left[$i]);
            $left[$i] -= $taken;
            $missing -= $taken;
            $comes = $taken > 0 ? max($comes, $this->stash[$i]->expected) : $comes;
            $measure = $this->stash[$i]->measure;
            $longer =
                $taken > 0
                && NotionKind::Zip === $wanted->kind
                && null !== $measure
                && null !== $wanted->measure
                && $wanted->measure->isLessThan($measure)
                    ? $measure
                    : $longer;
            if (0 === $missing) {
                break;
            }
        }
        if (0 === $missing) {
            return new NotionAnswer(
                $text,
                $wanted,
                true,
                missing: 0,
                short: null,
                sentence: match (true) {
                    null !== $comes => new Sentence('{notion}: ordered, comes about {day}.', $with + ['day' => $comes]),
                    null === $longer => new Sentence('{notion}: here.', $with),
                    default => new Sentence(
                        '{notion}: one of {length} is here, a little too long and usable.',
                        $with + ['length' => Figure::notion($longer)],
                    ),
                },
                comes: $comes,
            );
        }
        $short = $byLength ? Length::ofMicrometres($missing) : null;

        return new NotionAnswer(
            $text,
            $wanted,
            false,
            missing: $byLength ? null : $missing,
            short: $short,
            sentence: match (true) {
                null !== $short => new Sentence(
                    '{notion}: not here in one piece; {missing} to buy.',
                    $with + ['missing' => Figure::needed($short)],
                ),
                $missing < $amount && NotionKind::Button === $wanted->kind => new Sentence(
                    '{notion}: {have} of one look here, {missing} to buy that match, or a set.',
                    $with + ['have' => $amount - $missing, 'missing' => $missing],
                ),
                $missing < $amount => new Sentence(
                    '{notion}: {have} here, {missing} to buy.',
                    $with + ['have' => $amount - $missing, 'missing' => $missing],
                ),
                default => new Sentence('{notion}: to buy.', $with),
            },
        );
    }

    /**
     * @param array<int, int> $left
     *
     * @return list<int> of those in the stash that would do, what is here before what is ordered, the nearest in measure first
     */
    private function fitting(Notion $wanted, array $left): array
    {
        $fitting = [];
        foreach ($this->stash as $i => $notion) {
            $over = null === $wanted->measure || null === $notion->measure ? 0 : $notion->measure->minus($wanted->measure)->micrometres;
            $allowed = NotionKind::Zip === $wanted->kind ? Length::of('2', Unit::Centimetre)->micrometres : 500;
            $least = NotionKind::Zip === $wanted->kind ? 0 : -500;
            $known = null === $wanted->measure || null !== $notion->measure;
            if (
                $notion->kind === $wanted->kind
                && $left[$i] > 0
                && $this->alike($wanted, $notion)
                && $known
                && $over >= $least
                && $over <= $allowed
            ) {
                $fitting[$i] = [$notion->expected, $over];
            }
        }
        asort($fitting);

        return array_keys($fitting);
    }

    /**
     * The buttons of one look that would do: the smallest set that is enough, else the largest.
     *
     * @param array<int, int> $left
     *
     * @return list<int>
     */
    private function set(Notion $wanted, array $left): array
    {
        $sets = [];
        foreach ($this->fitting($wanted, $left) as $i) {
            $look = mb_strtolower($this->stash[$i]->name).' '.$this->stash[$i]->measure?->micrometres;
            $sets[$look][] = $i;
        }
        $wantedCount = $wanted->count ?? 1;
        /** @param list<int> $set */
        $size = static fn (array $set): int => array_sum(
            array_filter($left, static fn (int $i): bool => \in_array($i, $set, true), \ARRAY_FILTER_USE_KEY),
        );
        usort(
            $sets,
            static fn (array $a, array $b): int => [$size($a) < $wantedCount, $size($a) < $wantedCount ? -$size($a) : $size($a)] <=> [
                $size($b) < $wantedCount,
                $size($b) < $wantedCount ? -$size($b) : $size($b),
            ],
        );

        return $sets[0] ?? [];
    }

    /**
     * Whether one may stand for the other, as far as their words tell: zips that separate, invisible ones, the colour of
     * thread, the sort of tape.
     */
    private function alike(Notion $wanted, Notion $notion): bool
    {
        $says = static fn (Notion $one, string $words): bool => 1 === preg_match('/\b('.$words.')\b/iu', $one->name);

        return match ($wanted->kind) {
            NotionKind::Zip => $says($wanted, self::SEPARATING) === $says($notion, self::SEPARATING)
                && (!$says($wanted, self::INVISIBLE) || !$says($notion, self::VISIBLE)),
            NotionKind::Thread => [] === self::colours($wanted) || [] !== array_intersect(self::colours($wanted), self::colours($notion)),
            NotionKind::Tape, NotionKind::Trimming => [] === self::sorts($wanted) || self::sorts($wanted) === self::sorts($notion),
            default => true,
        };
    }

    /** @return list<string> */
    private static function sorts(Notion $notion): array
    {
        preg_match_all('/\b(?:'.self::SORTS.')\b/u', mb_strtolower($notion->name), $sorts);

        return $sorts[0];
    }

    /** @return list<string> the names of colours in what is said of it */
    private static function colours(Notion $notion): array
    {
        preg_match_all('/\p{L}+/u', mb_strtolower($notion->name), $words);

        return array_values(array_intersect($words[0], array_keys(ClothWords::COLOURS)));
    }
}
