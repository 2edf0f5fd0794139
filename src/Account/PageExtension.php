<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Page\ContentSecurity;
use Octavum\Page\PressedOnce;
use Octavum\Page\Typed;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** What templates need to show the core's answers in the reader's units. */
final class PageExtension extends AbstractExtension
{
    private ?LengthFormatter $tape = null;
    private ?\NumberFormatter $money = null;

    public function __construct(
        private readonly SentenceWriter $sentences,
        private readonly AccountSettings $settings,
        private readonly ContentSecurity $security,
        private readonly Typed $typed,
        private readonly PressedOnce $pressed,
    ) {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter(
                'say',
                fn (?Sentence $sentence): string => null === $sentence ? '' : $this->sentences->write($sentence, $this->tape()),
            ),
            new TwigFilter('owned', fn (?Length $length): string => $this->figure($length, Figure::owned(...))),
            new TwigFilter('needed', fn (?Length $length): string => $this->figure($length, Figure::needed(...))),
            new TwigFilter('width', fn (?Length $length): string => $this->figure($length, Figure::width(...))),
            new TwigFilter('body', fn (?Length $length): string => $this->figure($length, Figure::body(...))),
            new TwigFilter('notion', fn (?Length $length): string => $this->figure($length, Figure::notion(...))),
            new TwigFilter('typed', fn (Length $length): string => $this->tape()->typed($length, small: true)),
            new TwigFilter('printed', static fn (Length $length, System $system): string => (new LengthFormatter($system))->typed($length)),
            new TwigFilter('figure', fn (Figure $figure): string => $this->tape()->write($figure)),
            new TwigFilter(
                'day',
                fn (?\DateTimeImmutable $day, bool $year = true, bool $short = true): string => null === $day
                    ? ''
                    : $this->settings->current()->dates->write($day, $year, $short),
            ),
            new TwigFilter('as_day', $this->asDay(...)),
            new TwigFilter('hours', static fn (int $minutes): string => round($minutes / 60, 1).' h'),
            // a sitting: minutes as long as they are few
            new TwigFilter('sitting', static fn (int $minutes): string => $minutes < 90 ? $minutes.' min' : round($minutes / 60, 1).' h'),
            new TwigFilter('money', $this->money(...)),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('once', $this->pressed->key(...)),
            new TwigFunction('nonce', $this->security->nonce(...)),
            new TwigFunction('typed', $this->typed->entries(...)),
            new TwigFunction('settings', $this->settings->current(...)),
        ];
    }

    /** What is stored in a day's field is written as the settings say; what was typed stays. */
    private function asDay(string $text): string
    {
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text);

        return false === $day ? $text : $this->settings->current()->dates->write($day);
    }

    /** @param \Closure(Length): Figure $as */
    private function figure(?Length $length, \Closure $as): string
    {
        return null === $length ? '' : $this->tape()->write($as($length));
    }

    private function tape(): LengthFormatter
    {
        return $this->tape ??= $this->settings->tape();
    }

    /** @param int $amount in the smallest coin */
    private function money(int $amount): string
    {
        $this->money ??= new \NumberFormatter('en', \NumberFormatter::CURRENCY);

        return (string) $this->money->formatCurrency($amount / 100, $this->settings->current()->currency);
    }
}
