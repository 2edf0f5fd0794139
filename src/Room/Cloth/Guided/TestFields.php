<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;

/** The fields of a guided test: what a tape and scales say. */
final readonly class TestFields
{
    public function __construct(public Entry $entry, public Settings $settings, public LengthFormatter $tape)
    {
    }

    public function optional(string $field): ?Length
    {
        return $this->entry->length($field, $this->settings->system->widthUnit());
    }

    public function length(string $field): ?Length
    {
        if ('' === $this->entry->raw($field)) {
            $this->entry->fault($field, new Sentence('A length is missing here: type what the tape says.'));
        }

        return $this->optional($field);
    }

    public function milligrams(string $field): ?int
    {
        $text = str_replace(',', '.', $this->entry->raw($field));
        if (1 !== preg_match('/^(\d{1,6}(?:\.\d{1,3})?)\s*(g|kg|oz)?$/i', $text, $part) || 0.0 === (float) $part[1]) {
            $this->entry->fault($field, new Sentence(
                '“{text}” cannot be read as a mass: type what the scales say, such as 12.4 g.',
                ['text' => mb_substr($text, 0, 40)],
            ));

            return null;
        }
        $unit = match (mb_strtolower($part[2] ?? 'g')) {
            'kg' => 1_000_000,
            'oz' => 28_349.523125,
            default => 1_000,
        };

        return (int) round((float) $part[1] * $unit);
    }
}
