<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;

/**
 * What a cloth takes that is for some pieces only, or for pieces of several patterns: named pieces are laid in a moment, since
 * no table has a figure for them; otherwise the version's own figure, less the share of the area of what comes from elsewhere,
 * and that of what each part brings. Without the pieces the shares are those of a usual garment, and the answer is a guess.
 * Source: docs/rules.md.
 *
 * @internal to Estimator
 */
final readonly class ByArea
{
    public function __construct(private Estimator $estimator, private Block $block, private Assumptions $assumptions)
    {
    }

    public function need(NeedRequest $wanted, Pieced $pieced, CuttingCloth $on): Need|Unknown
    {
        if (null === $wanted->size) {
            return new Unknown(Missing::Size, new Sentence('Choose a size.'));
        }
        $surface = $wanted->surface($on, $this->assumptions);
        if (null === $surface) {
            return new Unknown(Missing::Width, new Sentence('Measure the width.'));
        }

        return [] === $pieced->only ? $this->rest($wanted, $pieced, $on, $surface) : $this->named($wanted, $pieced, $surface);
    }

    /** The pieces by name, laid in a moment. */
    private function named(NeedRequest $wanted, Pieced $pieced, LaySurface $surface): Need|Unknown
    {
        $lacking = array_values(array_diff($pieced->only, array_map(strval(...), array_keys($pieced->pieces))));
        if ([] !== $lacking) {
            return new Unknown(
                Missing::Pieces,
                new Sentence('{pieces} cannot be found among the pieces in size {size}.', [
                    'pieces' => implode(', ', $lacking),
                    'size' => $wanted->largestSize(),
                ]),
            );
        }
        $pieces = $wanted->version?->pieces->in($wanted->largestSize(), $wanted->role) ?? [];
        $length = $this->block->quickly($pieces, $wanted->largestSize(), $surface);
        if (null === $length) {
            return new Unknown(
                Missing::Pieces,
                new Sentence('{pieces} cannot be laid on this cloth at all.', [
                    'pieces' => implode(', ', $pieced->only),
                ]),
            );
        }
        $with = ['pieces' => implode(', ', $pieced->only)];
        $label =
            null === $surface->repeat
                ? new Sentence('{pieces}, laid in a moment', $with)
                : new Sentence(
                    '{pieces}, laid in a moment, the repeat of {repeat} matched',
                    $with + ['repeat' => Figure::exact($surface->repeat)],
                );
        $amount = $wanted->altered($length);
        $working = $wanted
            ->alterationsIn(Working::empty()->start($label, $length, Source::Lay))
            ->result(new Sentence('Needed'), Figure::exact($amount));

        return new Need($amount, NeedSource::QuickLay, static fn (): Working => $working);
    }

    private function rest(NeedRequest $wanted, Pieced $pieced, CuttingCloth $on, LaySurface $surface): Need|Unknown
    {
        $need = $this->estimator->estimate($wanted->whole(), $on);
        if ($need instanceof Unknown) {
            return $need;
        }
        $all = $pieced->whole->pieces->in($wanted->largestSize(), $wanted->role);
        $kept = array_column(array_filter($pieced->pieces, static fn (array $one): bool => null === $one[1]), 0);
        $known = [] !== $all;
        $gone = $known
            ? 1 - $this->area($kept, $wanted->largestSize()) / $this->area($all, $wanted->largestSize())
            : $this->usual($wanted, $pieced);
        $amount = $need->amount->minus($this->share($need->amount, $gone, Rounding::Down));
        $working = $need->working();
        if ($gone > 0) {
            $label = new Sentence('What comes from elsewhere: {percent} of the area', ['percent' => $this->percent($gone)]);
            $working = $working->less($label, $need->amount->minus($amount), Source::Assumed);
        }
        foreach ($pieced->parts as $part) {
            $unnamed = null === $part->stated ? $this->unnamed($part, $part->size ?? $wanted->largestSize()) : null;
            if (null !== $unnamed) {
                return $unnamed;
            }
            $brings = $this->brings($wanted, $pieced, $part, $on, $surface);
            if (null === $brings) {
                $nothing = 'Nothing is known of the {part}: enter the table or the pieces of their pattern.';

                return new Unknown(Missing::Row, new Sentence($nothing, ['part' => new Sentence($part->kind->value)]));
            }
            [$length, $label, $sure] = $brings;
            $known = $known && $sure;
            $amount = $amount->plus($length);
            $working = 0 === $length->micrometres ? $working : $working->plus($label, $length, Source::Assumed);
        }
        $warnings = $known
            ? $need->warnings
            : [
                ...$need->warnings,
                new Sentence(
                    'Not all pieces of its parts are entered, so usual shares are counted: enter them, or type what a part takes.',
                ),
            ];

        $working = $working->result(new Sentence('Needed'), Figure::exact($amount));

        return new Need($amount, NeedSource::ByArea, static fn (): Working => $working, $warnings);
    }

    /** Where the pieces of the other version are entered, nobody has said which of them these are, or they are not there any more. */
    private function unnamed(Part $part, string $size): ?Unknown
    {
        $there = array_column($part->version?->pieces->ofSize($size) ?? [], 'name');
        $lacking = array_values(array_diff($part->pieces, $there));
        $with = [
            'part' => new Sentence($part->kind->value),
            'version' => $part->version->name ?? '',
            'pieces' => implode(', ', [] === $lacking ? $there : $lacking),
            'size' => $size,
        ];

        return match (true) {
            [] === $there && [] === $part->pieces => null,
            null === $part->version => new Unknown(
                Missing::Pieces,
                new Sentence('The pattern of the {part} is not here any more: choose another, or type what the {part} takes.', $with),
            ),
            [] === $part->pieces => new Unknown(
                Missing::Pieces,
                new Sentence('Say which pieces of {version} are the {part}: it has {pieces}.', $with),
            ),
            [] === $lacking => null,
            default => new Unknown(
                Missing::Pieces,
                new Sentence('The {part} of {version} lack {pieces} in size {size}: choose its pieces again.', $with),
            ),
        };
    }

    /** @return ?array{Length, Sentence, bool} what a part adds, why, and whether its pieces are known; null when nothing is */
    private function brings(NeedRequest $wanted, Pieced $pieced, Part $part, CuttingCloth $on, LaySurface $surface): ?array
    {
        $with = ['part' => new Sentence($part->kind->value), 'version' => $part->version->name ?? ''];
        if (null !== $part->stated) {
            return [$part->stated, new Sentence('The {part}, by your own figure', $with), true];
        }
        $size = $part->size ?? $wanted->largestSize();
        $own = $part->version?->pieces->in($size, $wanted->role) ?? [];
        $table = $this->estimator->estimate(
            new NeedRequest(
                $part->version,
                $part->pattern->makes->garment ?? $wanted->garment,
                $wanted->role,
                $size,
                child: $wanted->child,
            ),
            $on,
        );
        $its = array_column(array_filter($pieced->pieces, static fn (array $one): bool => $one[1] === $part), 0);
        if ([] !== $own && $table instanceof Need) {
            $share = $this->area($its, $size) / $this->area($own, $size);
            $with += ['percent' => $this->percent($share), 'whole' => Figure::needed($table->amount)];

            return [
                $this->share($table->amount, $share, Rounding::Up),
                new Sentence('The {part} of {version}: {percent} of its {whole}, by area', $with),
                true,
            ];
        }
        if ([] !== $own || Role::Main !== $wanted->role) {
            $laid = [] === $its ? Length::zero() : $this->block->quickly($its, $size, $surface);

            return null === $laid ? null : [$laid, new Sentence('The {part} of {version}, laid in a moment', $with), [] !== $own];
        }
        $rough = $this->block->rough($part->pattern->makes->garment ?? $wanted->garment, $part->version?->table, $size, $wanted->child);
        $pieces = array_values(array_filter($rough, static fn (Piece $piece): bool => $part->kind->isNamed($piece->name)));
        $laid = [] === $pieces ? null : $this->block->quickly($pieces, $size, $surface);

        return null === $laid ? null : [$laid, new Sentence('Usual {part}', $with), false];
    }

    /** The share of what the parts replace in a usual garment of the kind. */
    private function usual(NeedRequest $wanted, Pieced $pieced): float
    {
        $rough =
            Role::Main === $wanted->role
                ? $this->block->rough($wanted->garment, $wanted->version?->table, $wanted->largestSize(), $wanted->child)
                : [];
        $gone = array_filter(
            $rough,
            static fn (Piece $piece): bool => [] !==
                array_filter($pieced->parts, static fn (Part $part): bool => $part->kind->isNamed($piece->name)),
        );

        return [] === $gone ? 0.0 : $this->area(array_values($gone), '') / $this->area($rough, '');
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return float mm²
     */
    private function area(array $pieces, string $size): float
    {
        return array_sum(array_map(static fn (Piece $piece): float => $piece->area($size), $pieces));
    }

    private function share(Length $of, float $share, Rounding $rounding): Length
    {
        $exact = $of->micrometres * $share;

        return Length::ofMicrometres((int) (Rounding::Up === $rounding ? ceil($exact - 0.001) : floor($exact + 0.001)));
    }

    private function percent(float $share): Percent
    {
        return Percent::of(round(100 * $share));
    }
}
