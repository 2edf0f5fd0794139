<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\Translation\Formatter\IntlFormatter;
use Symfony\Component\Translation\MessageCatalogueInterface;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\LocaleAwareInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * The English sentence is the key, and is an ICU message itself: what no catalogue lists is formatted as it stands, so
 * that a dialect's catalogue holds only what differs.
 */
#[AsDecorator('translator')]
final class IcuTranslator implements TranslatorInterface, TranslatorBagInterface, LocaleAwareInterface
{
    private readonly IntlFormatter $formatter;

    public function __construct(#[AutowireDecorated] private readonly TranslatorInterface&TranslatorBagInterface&LocaleAwareInterface $inner)
    {
        $this->formatter = new IntlFormatter();
    }

    /** @param array<mixed> $parameters */
    public function trans(string $id, array $parameters = [], ?string $domain = null, ?string $locale = null): string
    {
        $locale ??= $this->getLocale();
        $message = $this->inner->getCatalogue($locale)->get($id, $domain ?? 'messages');

        return str_contains($message, '{') ? $this->formatter->formatIntl($message, $locale, $parameters) : $message;
    }

    public function getLocale(): string
    {
        return $this->inner->getLocale();
    }

    public function setLocale(string $locale): void
    {
        $this->inner->setLocale($locale);
    }

    public function getCatalogue(?string $locale = null): MessageCatalogueInterface
    {
        return $this->inner->getCatalogue($locale);
    }

    public function getCatalogues(): array
    {
        return $this->inner->getCatalogues();
    }
}
