<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Find\Forgiving;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Input\SearchWords;
use Octavum\Store\Pattern\PatternTitle;

/** Which patterns of a library are shown, by what they are and by what they do not ask for. */
final readonly class PatternFilter
{
    /** @var list<string> techniques that are not wanted */
    public array $without;

    /**
     * @param list<int|string>                  $without
     * @param list<string>                      $having   features of which one version has all
     * @param array<string, list<list<string>>> $features of each pattern's versions, by pattern; needed for having
     */
    public function __construct(
        public ?Garment $garment = null,
        public string $words = '',
        public ?Ownership $ownership = null,
        array $without = [],
        public array $having = [],
        private array $features = [],
    ) {
        $this->without = array_values(array_intersect(array_column(Technique::cases(), 'value'), $without));
    }

    /**
     * @param list<PatternTitle> $titles
     *
     * @return list<string> ids, by garment and title; when nothing is called so, what is called nearly so
     */
    public function filter(array $titles): array
    {
        $fitting = array_values(
            array_filter(
                $titles,
                fn (PatternTitle $title): bool => $this->lets($title) && (null === $this->garment || $title->garment === $this->garment),
            ),
        );
        $found = array_values(array_filter($fitting, fn (PatternTitle $title): bool => $this->isCalled($title)));
        if ([] === $found && '' !== $this->words) {
            return (new Forgiving())->find(
                $this->words,
                array_column(
                    array_map(fn (PatternTitle $title): array => ['id' => $title->id, 'text' => $this->text($title)], $fitting),
                    'text',
                    'id',
                ),
                50,
            );
        }
        $order = array_flip(array_column(Garment::cases(), 'value'));
        usort(
            $found,
            static fn (PatternTitle $a, PatternTitle $b): int => [$order[$a->garment->value], mb_strtolower($a->title)] <=> [
                $order[$b->garment->value],
                mb_strtolower($b->title),
            ],
        );

        return array_column($found, 'id');
    }

    /**
     * @param list<PatternTitle> $titles
     *
     * @return array<string, int> how many of each garment the rest of the filter lets through
     */
    public function counts(array $titles): array
    {
        return array_count_values(
            array_map(
                static fn (PatternTitle $title): string => $title->garment->value,
                array_filter($titles, fn (PatternTitle $title): bool => $this->lets($title) && $this->isCalled($title)),
            ),
        );
    }

    private function lets(PatternTitle $title): bool
    {
        $techniques = $title->details['techniques'] ?? [];

        return (null === $this->ownership || $title->ownership === $this->ownership)
            && $this->has($title)
            && [] ===
                array_filter($this->without, static fn (string $one): bool => \is_array($techniques) && \in_array($one, $techniques, true));
    }

    private function has(PatternTitle $title): bool
    {
        if ([] === $this->having) {
            return true;
        }
        foreach ($this->features[$title->id] ?? [] as $features) {
            if ([] === array_diff($this->having, $features)) {
                return true;
            }
        }

        return false;
    }

    private function isCalled(PatternTitle $title): bool
    {
        $text = $this->text($title);
        foreach (SearchWords::of(mb_strtolower($this->words)) as $word) {
            if (!str_contains($text, $word)) {
                return false;
            }
        }

        return true;
    }

    private function text(PatternTitle $title): string
    {
        return mb_strtolower(
            implode(' ', [$title->title, $title->maker, $title->number, ...$title->otherNumbers, $title->garment->value, $title->place]),
        );
    }
}
