<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Workroom\DateStyle;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Writes the core's sentences in the reader's words and units. */
final readonly class SentenceWriter
{
    public function __construct(private TranslatorInterface $translator, private ?AccountSettings $settings = null)
    {
    }

    public function write(Sentence $sentence, LengthFormatter $tape): string
    {
        return $this->translator->trans(
            $sentence->message,
            array_map(
                fn (string|int|Figure|Percent|\DateTimeImmutable|Sentence $value): string|int => match (true) {
                    $value instanceof Figure => $tape->write($value),
                    $value instanceof Sentence => $this->write($value, $tape),
                    $value instanceof \DateTimeImmutable => ($this->settings?->current()->dates ?? DateStyle::DayFirst)->write(
                        $value,
                        year: false,
                        short: false,
                    ),
                    $value instanceof Percent => (string) $value,
                    default => $value,
                },
                $sentence->with,
            ),
        );
    }
}
