<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Body\Person;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;

/** A version in a size, for someone: what a cloth might become. */
final readonly class Making
{
    /** Smallest coins a metre from which a cloth is dear. A starting value of the house. */
    public const DEAR = 2500;

    /**
     * @param ?string          $size        null when nobody can say which
     * @param ?string          $gradedTo    the largest size used, when sizes are graded between
     * @param list<Alteration> $alterations kept for the pattern and the person
     * @param ?Sentence        $unfit       why it cannot be sewn for the person
     */
    public function __construct(
        public Pattern $pattern,
        public Version $version,
        public Asks $asks,
        public ?Person $person = null,
        public ?string $size = null,
        public ?string $gradedTo = null,
        public array $alterations = [],
        public ?Sentence $unfit = null,
    ) {
    }

    /** @param list<string> $usual sizes that were sewn for the person, the most usual first */
    public static function of(Pattern $pattern, Version $version, ?Person $person, Sewist $sewist, array $usual = []): self
    {
        [$size, $gradedTo, $unfit] = self::size($pattern, $version, $person, $usual);
        $wished = Ownership::Wished === $pattern->keeping->ownership ? new Sentence('It is only wished for, not in the house.') : null;
        $alterations = [];
        foreach (null === $person ? [] : $pattern->alterationsFor($person->id) as $kept) {
            if (null !== $kept->length) {
                $alterations[] = new Alteration($kept->name, $kept->length, $kept->roles);
            }
        }

        $asks = Asks::of($pattern, $version, $person, $sewist, $size);

        return new self(
            $pattern,
            $version,
            $asks,
            person: $person,
            size: $size,
            gradedTo: $gradedTo,
            alterations: $alterations,
            unfit: $wished ?? $unfit,
        );
    }

    /**
     * Every version of a library.
     *
     * @param list<Pattern> $patterns
     * @param list<string>  $usual    as for one
     *
     * @return list<self>
     */
    public static function all(array $patterns, ?Person $person, Sewist $sewist, array $usual = []): array
    {
        $all = [];
        foreach ($patterns as $pattern) {
            foreach ($pattern->versions as $version) {
                $all[] = self::of($pattern, $version, $person, $sewist, $usual);
            }
        }

        return $all;
    }

    public function inSize(string $size): self
    {
        $asks = Asks::of($this->pattern, $this->version, $this->person, $this->asks->sewist, $size);

        return new self(
            $this->pattern,
            $this->version,
            $asks,
            person: $this->person,
            size: $size,
            gradedTo: null,
            alterations: $this->alterations,
            unfit: $this->unfit,
        );
    }

    /** Its hours, null when nobody has said. */
    public function minutes(): ?int
    {
        return $this->version->minutes ?? $this->pattern->makes->minutes;
    }

    public function wanted(Role $role = Role::Main): NeedRequest
    {
        return new NeedRequest(
            $this->version,
            $this->pattern->makes->garment,
            $role,
            size: $this->size,
            gradedTo: $this->gradedTo,
            alterations: array_values(array_filter($this->alterations, static fn (Alteration $one): bool => $one->concerns($role))),
            child: $this->asks->child,
        );
    }

    /**
     * By the chart and the body; where that does not tell, a size sewn before, or the only one there is.
     *
     * @param list<string> $usual
     *
     * @return array{?string, ?string, ?Sentence}
     */
    private static function size(Pattern $pattern, Version $version, ?Person $person, array $usual): array
    {
        $table = $version->table;
        $advice = null === $person || [] === $pattern->chart->sizes ? null : (new SizeChooser())->choose($person, $pattern);
        if (null !== $advice?->size && $table->hasSize($advice->size)) {
            $to = $advice->gradedTo;

            return [$advice->size, null !== $to && $table->hasSize($to) ? $to : null, null];
        }
        foreach ($usual as $size) {
            if ($table->hasSize($size)) {
                return [$size, null, null];
            }
        }
        if (1 === \count($table->sizes)) {
            return [$table->sizes[0], null, null];
        }

        return [null, null, null === $person || [] === $table->sizes ? null : self::unfit($person, $advice, $table->sizes)];
    }

    /** @param list<string> $sizes */
    private static function unfit(Person $person, ?SizeAdvice $advice, array $sizes): ?Sentence
    {
        return null === $advice || null !== $advice->size || [] === $person->measured ? null : new Sentence(
            'It comes in {sizes}, and none is near {person}’s measures.',
            ['sizes' => reset($sizes).' – '.end($sizes), 'person' => $person->name],
        );
    }
}
