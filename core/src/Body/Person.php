<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** Someone who is sewn for. */
final readonly class Person
{
    /** After so many months a measurement is asked for again; a child's sooner. A starting value of the house. */
    private const FRESH = 12;
    private const FRESH_CHILD = 3;

    /** @var list<Measured> the latest first */
    public array $measured;

    /**
     * @param list<Measured>        $measured in any order
     * @param array<string, Liking> $likings  by feature
     * @param list<Fact>            $facts    that stand for every pattern of a kind
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $child = false,
        public string $notes = '',
        array $measured = [],
        public array $likings = [],
        public array $facts = [],
    ) {
        usort($measured, static fn (Measured $a, Measured $b): int => $b->on <=> $a->on);
        $this->measured = $measured;
    }

    /** @param list<Measured> $measured in any order */
    public function measuredAs(array $measured): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->child,
            notes: $this->notes,
            measured: $measured,
            likings: $this->likings,
            facts: $this->facts,
        );
    }

    /**
     * @param string       $garment its kind, by its value
     * @param list<string> $but     that are known of already, by name
     *
     * @return list<Fact> that stand for a kind of garment
     */
    public function factsFor(string $garment, array $but = []): array
    {
        return array_values(array_filter(
            $this->facts,
            static fn (Fact $fact): bool => \in_array($fact->garment, ['', $garment], true) && !\in_array($fact->name, $but, true),
        ));
    }

    /** The latest figure, which may be of an earlier day than others. */
    public function at(BodyPoint $point): ?Length
    {
        return $this->latest($point)?->points[$point->value];
    }

    public function measuredOn(BodyPoint $point): ?\DateTimeImmutable
    {
        return $this->latest($point)?->on;
    }

    /** How much it has changed between the two latest figures, null when there is one at most. */
    public function change(BodyPoint $point): ?Length
    {
        $figures = array_values(
            array_filter(array_map(static fn (Measured $measured): ?Length => $measured->points[$point->value] ?? null, $this->measured)),
        );

        return isset($figures[1]) ? $figures[0]->minus($figures[1]) : null;
    }

    /** Whether the latest figure is so old that it should be taken again. */
    public function isStale(BodyPoint $point, \DateTimeImmutable $today): bool
    {
        $on = $this->measuredOn($point);

        return null !== $on && $on < $today->modify('-'.($this->child ? self::FRESH_CHILD : self::FRESH).' months');
    }

    private function latest(BodyPoint $point): ?Measured
    {
        foreach ($this->measured as $measured) {
            if (isset($measured->points[$point->value])) {
                return $measured;
            }
        }

        return null;
    }

    /** What is to be minded when one sews for them; null for a grown-up. */
    public function caution(): ?Sentence
    {
        return !$this->child ? null : new Sentence(
            'Buttons, snaps and safety eyes can be swallowed; cords at neck and hood, ribbons and ties can strangle; nightwear must meet the local rules on flammability. Local product-safety rules apply to gifts and sales too.',
        );
    }
}
