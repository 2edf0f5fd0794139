<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Wish;
use Octavum\Document\Codec\ProjectCodec;
use Octavum\Input\ChosenName;
use Octavum\Input\Entry;

/** What a project or an option claims, role by role: what the fields show, and what was typed into them. */
final readonly class ClaimForm
{
    /**
     * @param list<Claim>           $all
     * @param array<string, string> $cutNames by cut
     *
     * @return list<array<string, string>> by field, as typed
     */
    public function values(array $all, array $cutNames, LengthFormatter $tape): array
    {
        $typed = static fn (?Length $length): string => null === $length ? '' : $tape->typed($length);
        $claims = [];
        foreach ($all as $claim) {
            $claims[] = [
                'role' => $claim->role->value,
                'from' => match (true) {
                    null !== $claim->wish => 'buy',
                    null !== $claim->cut => 'own',
                    default => '',
                },
                'cut' => null === $claim->cut ? '' : $cutNames[$claim->cut->id] ?? '',
                'buy' => $claim->wish->name ?? '',
                'fibres' => $claim->wish?->fibres->typed() ?? '',
                'structure' => $claim->wish->structure->value ?? Structure::Woven->value,
                'oneWay' => true === $claim->wish?->oneWay ? '1' : '',
                'width' => null === $claim->wish?->width ? '' : $tape->typed($claim->wish->width, small: true),
                'repeat' => null === $claim->wish?->repeat ? '' : $tape->typed($claim->wish->repeat, small: true),
                'price' => Entry::price($claim->wish?->pricePerMetre),
                'stated' => $typed($claim->stated),
                'cutOut' => $claim->cutOut ? '1' : '',
                'pieces' => implode("\n", $claim->pieces),
            ];
        }

        return $claims;
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts by name
     *
     * @return list<Claim>
     */
    public function read(Entry $entry, string $project, array $cuts, System $system): array
    {
        $claims = [];
        foreach ($entry->rows('claims', ProjectCodec::MOST) as $i) {
            $at = 'claims.'.$i.'.';
            $from = $entry->raw($at.'from');
            [$cloth, $cut] = 'own' === $from ? $this->cut($entry, $at.'cut', $cuts) : [null, null];
            $wish = null;
            if ('buy' === $from) {
                $wish = new Wish(
                    '' === $entry->raw($at.'buy') ? 'Cloth for '.$entry->raw($at.'role') : $entry->text($at.'buy', 120),
                    $entry->attempt(
                        $at.'fibres',
                        static fn (): FibreMix => (new FibreReader())->read($entry->raw($at.'fibres'), Knowledge::Seller),
                    ) ?? FibreMix::unknown(),
                    $entry->choice($at.'structure', Structure::class) ?? Structure::Woven,
                    oneWay: $entry->boolean($at.'oneWay'),
                    repeat: $entry->length($at.'repeat', $system->widthUnit()),
                    pricePerMetre: $entry->money($at.'price'),
                    width: $entry->length($at.'width', $system->widthUnit()),
                );
            }
            $stated = $entry->length($at.'stated', $system->lengthUnit());
            $claims[] = new Claim(
                $project.'#'.$i,
                $entry->choice($at.'role', Role::class) ?? Role::Main,
                $cloth,
                cut: $cut,
                wish: $wish,
                stated: $stated,
                cutOut: $entry->boolean($at.'cutOut'),
                pieces: $this->pieces($entry, $at.'pieces'),
            );
        }

        return $claims;
    }

    /** @return list<string> one a line */
    private function pieces(Entry $entry, string $field): array
    {
        $lines = preg_split('/\s*\R\s*/u', $entry->raw($field), -1, \PREG_SPLIT_NO_EMPTY);

        return array_map(static fn (string $line): string => mb_substr($line, 0, 60), false === $lines ? [] : $lines);
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts by name
     *
     * @return array{?Cloth, ?Cut}
     */
    public function cut(Entry $entry, string $field, array $cuts): array
    {
        $typed = $entry->raw($field);
        if ('' === $typed) {
            return [null, null];
        }
        [$cloth, $cut] = $cuts[ChosenName::read($entry, $field, array_keys($cuts)) ?? ''] ?? [null, null];
        if (null === $cut && !isset($entry->faults()[$field])) {
            $entry->fault(
                $field,
                new Sentence('There is no cut called “{text}” in the stash: choose one from the list, or add the cloth first.', [
                    'text' => mb_substr($typed, 0, 60),
                ]),
            );
        }

        return [$cloth, $cut];
    }
}
