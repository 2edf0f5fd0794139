<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Cloth\Recovery;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\TestDone;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;
use Octavum\Core\Reading\ClothWords;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\CutCodec;
use Octavum\Input\Entry;
use Psr\Clock\ClockInterface;

/**
 * The cloth form: what its fields show, and what was typed into them.
 * Longer than other files: the fields of a cloth are many, and what shows a field stands by what reads it.
 */
final readonly class ClothForm
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return array<string, string> by field, as typed */
    public function values(Cloth $cloth, Settings $settings): array
    {
        $tape = new LengthFormatter($settings->system);
        $typed = static fn (?Length $length): string => null === $length ? '' : $tape->typed($length, small: true);
        $selvage = $cloth->width?->selvage;

        return [
            'name' => $cloth->name,
            'width' => $typed($cloth->width?->full),
            'selvage' => null === $selvage || $selvage->equals($settings->assumptions->selvage) ? '' : $typed($selvage),
            'structure' => $cloth->material->statedStructure->value ?? '',
            'type' => $cloth->material->type->value ?? '',
            'fibres' => $cloth->material->fibres->typed(),
            'fibresKnown' => $cloth->material->fibres->knowledge->value,
            'grams' => (string) $cloth->material->weight?->grams,
            'weight' => null === $cloth->material->weight?->grams ? $cloth->material->weight->class->value ?? '' : '',
            'print' => $cloth->look->print->value,
            'direction' => $cloth->look->direction->value ?? '',
            'repeat' => $typed($cloth->look->repeat),
            'shrinkAlong' => null === $cloth->material->tested ? '' : (string) $cloth->material->tested->along->number(),
            'shrinkAcross' => null === $cloth->material->tested ? '' : (string) $cloth->material->tested->across->number(),
            'colour1' => $cloth->look->colours[0] ?? '',
            'colour2' => $cloth->look->colours[1] ?? '',
            'colour3' => $cloth->look->colours[2] ?? '',
            'place' => $cloth->keeping->place,
            'price' => Entry::price($cloth->purchase->pricePerMetre),
            'more' => self::saidOf($cloth->purchase->moreToBeHad),
            'precious' => self::saidOf($cloth->purchase->precious),
            'setAside' => $cloth->keeping->setAside ? '1' : '',
            'notes' => $cloth->keeping->notes,
            'stretchFrom' => null === $cloth->material->feel->across ? '' : $typed(Length::of('10', Unit::Centimetre)),
            'stretchTo' => null === $cloth->material->feel->across ? '' : $typed(
                Length::ofMicrometres(100_000 + 1_000 * $cloth->material->feel->across),
            ),
            'stretchAlong' => (string) $cloth->material->feel->along,
            'drape' => $cloth->material->feel->drape->value ?? '',
            'opacity' => $cloth->material->feel->opacity->value ?? '',
            'takesCrease' => self::saidOf($cloth->material->feel->takesCrease),
            'clearSide' => self::saidOf($cloth->material->feel->clearSide),
            'recovery' => $cloth->material->feel->recovery->value ?? '',
            'edges' => $cloth->material->feel->edges->value ?? '',
            'backSeen' => self::saidOf($cloth->material->feel->backSeen),
            'motif' => $typed($cloth->look->motif),
            'from' => $cloth->purchase->origin->from,
            'gotOn' => null === $cloth->purchase->origin->on ? '' : $settings->dates->write($cloth->purchase->origin->on),
            'called' => $cloth->purchase->origin->called,
            'set' => $cloth->keeping->set,
            'care' => $cloth->material->care->value ?? '',
        ];
    }

    /** @param Cloth $before whose cuts, and what the form does not show, are kept */
    public function read(Entry $entry, Cloth $before, Settings $settings): Cloth
    {
        $name = $entry->name('name');
        $full = $entry->length('width', $settings->system->widthUnit());
        $selvage = $entry->length('selvage', $settings->system->widthUnit()) ?? $settings->assumptions->selvage;
        $knowledge = $entry->choice('fibresKnown', Knowledge::class) ?? Knowledge::Unknown;
        if (null !== $full && !Width::isBelievable($full)) {
            $entry->fault(
                'width',
                new Sentence('{width} is no width of a cloth: type one from 20 to 330 cm, such as 140 cm or 54 in.', [
                    'width' => Figure::exact($full),
                ]),
            );
        }

        if (null === $full && '' !== $entry->raw('selvage')) {
            $entry->fault('width', new Sentence('The selvage is taken from the width: type the width too, or empty the selvage.'));
        }

        return new Cloth(
            $before->id,
            $name,
            null === $full ? null : $entry->attempt('width', static fn (): Width => Width::of($full, $selvage)),
            material: new Material(structure: $entry->choice(
                'structure',
                Structure::class,
            ), type: $entry->choice('type', ClothType::class), fibres: $entry->attempt(
                'fibres',
                static fn (): FibreMix => (new FibreReader())->read(
                    $entry->raw('fibres'),
                    Knowledge::Unknown === $knowledge ? Knowledge::Guess : $knowledge,
                ),
            ), weight: $this->weight($entry), feel: $this->feel(
                $entry,
                $settings,
            ), care: $entry->choice('care', CareLabel::class), family: $before->material->family, tested: $this->tested($entry)),
            look: new ClothLook(
                print: $entry->choice('print', PrintKind::class) ?? PrintKind::Plain,
                direction: $entry->choice('direction', Direction::class),
                repeat: $entry->length('repeat', $settings->system->widthUnit()),
                motif: $entry->length('motif', $settings->system->widthUnit()),
                colours: [...$this->colours($entry), ...\array_slice($before->look->colours, 3)],
            ),
            keeping: new Keeping(
                place: $entry->text('place', 120),
                set: $entry->text('set', 60),
                setAside: $entry->boolean('setAside'),
                photo: $before->keeping->photo,
                notes: $entry->text('notes'),
                tests: $this->tests($before, $full),
            ),
            purchase: new Purchase(
                pricePerMetre: $entry->money('price'),
                moreToBeHad: self::said($entry, 'more'),
                origin: new Origin($entry->text('from', 120), $entry->date('gotOn', past: true), $entry->text('called', 120)),
                precious: self::said($entry, 'precious'),
            ),
            cuts: $before->cuts,
        );
    }

    /**
     * A width that is typed anew was measured anew.
     *
     * @return list<TestDone>
     */
    private function tests(Cloth $before, ?Length $full): array
    {
        return null === $full || null === $before->width || $full->equals($before->width->full)
            ? $before->keeping->tests
            : [...$before->keeping->tests, new TestDone($this->clock->now()->setTime(0, 0), TestKind::Width, 'typed anew')];
    }

    /** The stretch across is tested: what 10 cm, or another length, come to when they are pulled. */
    private function feel(Entry $entry, Settings $settings): Feel
    {
        $from = $entry->length('stretchFrom', $settings->system->widthUnit());
        $to = $entry->length('stretchTo', $settings->system->widthUnit());
        if ((null === $from) !== (null === $to) && $entry->isSound()) {
            $entry->fault(
                null === $from ? 'stretchFrom' : 'stretchTo',
                new Sentence('The stretch test wants both lengths: 10 cm, and what they come to when you pull them.'),
            );
        }
        $across = null === $from || null === $to ? null : $entry->attempt('stretchTo', static fn (): int => Feel::stretch($from, $to));

        return $entry->attempt(
            'stretchTo',
            static fn (): Feel => new Feel(
                $across,
                $entry->integer('stretchAlong', 0, 300),
                $entry->choice('drape', Drape::class),
                opacity: $entry->choice('opacity', Opacity::class),
                takesCrease: self::said($entry, 'takesCrease'),
                clearSide: self::said($entry, 'clearSide'),
                recovery: $entry->choice('recovery', Recovery::class),
                edges: $entry->choice('edges', Edges::class),
                backSeen: self::said($entry, 'backSeen'),
            ),
        ) ?? new Feel();
    }

    private static function said(Entry $entry, string $field): ?bool
    {
        return match ($entry->raw($field)) {
            'yes' => true,
            'no' => false,
            default => null,
        };
    }

    private static function saidOf(?bool $said): string
    {
        return match ($said) {
            true => 'yes',
            false => 'no',
            null => '',
        };
    }

    /**
     * The cuts typed with a new cloth; a row without anything is passed over.
     *
     * @return list<Cut>
     */
    public function cuts(Entry $entry, Settings $settings): array
    {
        $cuts = [];
        foreach ($entry->rows('cuts') as $i) {
            if (
                '' !== $entry->raw('cuts.'.$i.'.length')
                || '' !== $entry->raw('cuts.'.$i.'.label')
                || $entry->boolean('cuts.'.$i.'.ordered')
            ) {
                $cuts[] = $this->cut($entry, 'cuts.'.$i.'.', $settings);
            }
        }

        return $cuts;
    }

    /** @param string $prefix of the fields' names */
    public function cut(Entry $entry, string $prefix, Settings $settings): Cut
    {
        $typed = $entry->length($prefix.'length', $settings->system->lengthUnit());
        $length = null === $typed ? null : $entry->attempt($prefix.'length', static fn (): Length => Cut::ownLength($typed));
        $today = $this->clock->now()->setTime(0, 0);
        $washed = $entry->boolean($prefix.'washed');
        $ledger = [new LedgerEntry($today, LedgerKind::Bought, $washed ? null : $length)];
        if ($washed) {
            $ledger[] = new LedgerEntry($today, LedgerKind::Washed, $length);
        }
        $ordered = $entry->boolean($prefix.'ordered');
        $width = $entry->length($prefix.'width', $settings->system->widthUnit());

        return new Cut(
            '',
            $ledger,
            $entry->text($prefix.'label', 60),
            $ordered ? CutState::Ordered : CutState::Arrived,
            $ordered ? $entry->date($prefix.'expected') : null,
            width: null === $width ? null : $entry->attempt($prefix.'width', static fn (): Length => Cut::ownWidth($width)),
        );
    }

    private function weight(Entry $entry): ?Weight
    {
        $grams = $entry->integer('grams', 5, 2000);
        $class = $entry->choice('weight', WeightClass::class);

        return match (true) {
            null !== $grams => Weight::ofGrams($grams),
            null !== $class => Weight::ofClass($class),
            default => null,
        };
    }

    private function tested(Entry $entry): ?Shrinkage
    {
        $along = $entry->percent('shrinkAlong');
        $across = $entry->percent('shrinkAcross');

        return null === $along && null === $across ? null : Shrinkage::tested($along ?? Percent::of(0), $across ?? Percent::of(0));
    }

    /** @return list<string> */
    private function colours(Entry $entry): array
    {
        return array_values(
            array_filter(
                array_map(fn (string $field): ?string => '' === $entry->raw($field) ? null : $this->colour($entry, $field), [
                    'colour1',
                    'colour2',
                    'colour3',
                ]),
                static fn (?string $colour): bool => null !== $colour,
            ),
        );
    }

    /** A colour by its name or code; null with a fault when it is neither. */
    public function colour(Entry $entry, string $field): ?string
    {
        $colour = mb_strtolower($entry->raw($field));
        $colour = ClothWords::COLOURS[$colour] ?? $colour;
        if (1 === preg_match('/^#[0-9a-f]{6}$/D', $colour)) {
            return $colour;
        }
        $entry->fault(
            $field,
            new Sentence('“{text}” is not a colour known here: type a name such as bottle green, or a code such as #27405e.', [
                'text' => mb_substr($colour, 0, 40),
            ]),
        );

        return null;
    }

    /** @return list<Bite> a row each; a place left empty is at the very edge */
    public function bites(Entry $entry, System $system): array
    {
        $bites = [];
        foreach ($entry->rows('bites', CutCodec::MOST_BITES) as $i) {
            $at = 'bites.'.$i.'.';
            $read = static fn (string $field): ?Length => \in_array($entry->raw($at.$field), ['', '0'], true)
                ? null
                : $entry->length($at.$field, $system->widthUnit());
            [$length, $width, $from, $below] = [$read('length'), $read('width'), $read('from'), $read('below')];
            if (null !== $length && null !== $width) {
                $bites[] = new Bite($from ?? Length::zero(), $below ?? Length::zero(), $length, $width);
            } elseif ((null !== $length || null !== $width || null !== $from || null !== $below) && $entry->isSound()) {
                $entry->fault(
                    $at.(null === $length ? 'length' : 'width'),
                    new Sentence(
                        'How large is the part that is missing? Type its length along the cloth and its width across it, or empty the line.',
                    ),
                );
            }
        }

        return $bites;
    }
}
