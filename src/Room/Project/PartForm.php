<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;
use Octavum\Document\Codec\PartCodec;
use Octavum\Input\ChosenName;
use Octavum\Input\Entry;
use Octavum\Store\Pattern\Library;

/** What a project or an option takes from other patterns: what the fields show, and what was typed into them. */
final readonly class PartForm
{
    public function __construct(private Library $library, private AccountSettings $settings)
    {
    }

    /**
     * @param list<Part> $parts
     *
     * @return list<array<string, string>> by field, as typed
     */
    public function values(array $parts, Choices $choices): array
    {
        $tape = $this->settings->tape();

        return array_map(static fn (Part $part): array => [
            'kind' => $part->kind->value,
            'version' => null === $part->version ? '' : (string) array_search($part->version->id, $choices->versions, true),
            'size' => $part->size ?? '',
            'pieces' => implode(', ', $part->pieces),
            'instead' => implode(', ', $part->instead),
            'takes' => null === $part->stated ? '' : $tape->typed($part->stated),
        ], $parts);
    }

    /**
     * @param ?Version $own  that the garment is mainly made from
     * @param string   $size of it
     *
     * @return list<Part>
     */
    public function read(Entry $entry, Choices $choices, Account $account, ?Version $own, string $size): array
    {
        $parts = [];
        foreach ($entry->rows('parts', PartCodec::MOST) as $i) {
            $at = 'parts.'.$i.'.';
            $kind = $entry->choice($at.'kind', PartKind::class);
            if (null === $kind && '' === $entry->raw($at.'version')) {
                continue;
            }
            [$pattern, $version] = $this->version($entry, $at.'version', $choices, $account) ?? [null, null];
            $in = $entry->text($at.'size', 20);
            if (null === $kind) {
                $entry->fault($at.'kind', new Sentence('What comes from this pattern? Choose sleeves, a collar, or the like.'));
            }
            $this->inTable($entry, [$at.'size' => '' === $in ? null : $in], $version);
            $kind ??= PartKind::Other;
            $parts[] = new Part(
                $kind,
                $pattern,
                $version,
                size: '' === $in ? null : $in,
                pieces: '' === $entry->raw($at.'takes')
                    ? $this->brought($entry, $at.'pieces', $kind, $version, '' === $in ? $size : $in)
                    : $this->pieces($entry, $at.'pieces', $kind, $version, '' === $in ? $size : $in),
                instead: $this->pieces($entry, $at.'instead', $kind, $own, $size),
                stated: $entry->length($at.'takes', $this->settings->load($account)->system->lengthUnit()),
            );
        }

        return $parts;
    }

    /** @return ?array{Pattern, Version} null, with a fault, where something was typed that is none */
    public function version(Entry $entry, string $field, Choices $choices, Account $account): ?array
    {
        $typed = $entry->raw($field);
        if ('' === $typed) {
            return null;
        }
        $name = ChosenName::read($entry, $field, array_keys($choices->versions));
        $found = $this->library->version($account, $choices->versions[$name ?? ''] ?? '');
        if (null === $found && !isset($entry->faults()[$field])) {
            $entry->fault(
                $field,
                new Sentence('There is no version called “{text}” in the library: choose one from the list, or add the pattern first.', [
                    'text' => mb_substr($typed, 0, 60),
                ]),
            );
        }

        return $found;
    }

    /** @param array<string, ?string> $sizes by field; null where none is chosen */
    public function inTable(Entry $entry, array $sizes, ?Version $version): void
    {
        foreach ($sizes as $field => $size) {
            $lacks = null === $size || null === $version || [] === $version->table->sizes ? null : $version->lacks($size);
            if (null !== $lacks) {
                $entry->fault($field, $lacks);
            }
        }
    }

    /** @return list<string> one at least, where the other version has pieces */
    private function brought(Entry $entry, string $field, PartKind $kind, ?Version $version, string $size): array
    {
        $pieces = $this->pieces($entry, $field, $kind, $version, $size);
        $all = array_column($version?->pieces->ofSize($size) ?? [], 'name');
        if ([] === $pieces && [] !== $all) {
            $entry->fault($field, new Sentence('Which pieces of {version} are they? It has {pieces}.', [
                'version' => $version->name ?? '',
                'pieces' => implode(', ', $all),
            ]));
        }

        return $pieces;
    }

    /** @return list<string> those typed, or where nothing is, those that are so named */
    private function pieces(Entry $entry, string $field, PartKind $kind, ?Version $version, string $size): array
    {
        $all = array_column($version?->pieces->ofSize($size) ?? [], 'name');
        $typed = $this->typed($entry, $field, $all);
        if ([] === $typed) {
            return array_values(array_filter($all, $kind->isNamed(...)));
        }
        $known = array_combine(array_map(mb_strtolower(...), $all), $all);
        foreach ($typed as $i => $name) {
            if (!isset($known[mb_strtolower($name)])) {
                $none = 'No pieces are entered for this version in size {size}: leave this empty.';
                $entry->fault($field, [] === $all
                    ? new Sentence($none, ['size' => '' === $size ? '?' : $size])
                    : new Sentence('There is no piece called “{text}” in it: it has {pieces}.', [
                        'text' => mb_substr($name, 0, 60),
                        'pieces' => implode(', ', $all),
                    ]));
            }
            $typed[$i] = $known[mb_strtolower($name)] ?? $name;
        }

        return $typed;
    }

    /**
     * Separated by commas, which may stand in the name of a piece, too.
     *
     * @param list<string> $all names of pieces
     *
     * @return list<string>
     */
    private function typed(Entry $entry, string $field, array $all): array
    {
        $rest = $entry->raw($field);
        $whole = [];
        foreach (array_filter($all, static fn (string $name): bool => str_contains($name, ',')) as $name) {
            if (false !== mb_stripos($rest, $name)) {
                $whole[] = $name;
                $rest = str_ireplace($name, '', $rest);
            }
        }

        return [...$whole, ...(new Entry(['rest' => $rest]))->texts('rest', 60)];
    }
}
