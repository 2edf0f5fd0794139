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
 * that a dialect's catalogue holds only what differs: single words in its domain “words”, whole sentences where words are
 * not enough.
 */
#[AsDecorator('translator')]
final class IcuTranslator implements TranslatorInterface, TranslatorBagInterface, LocaleAwareInterface
{
    private readonly IntlFormatter $formatter;
    private ?string $pattern = null;

    public function __construct(
        #[AutowireDecorated] private readonly TranslatorInterface&TranslatorBagInterface&LocaleAwareInterface $inner,
    ) {
        $this->formatter = new IntlFormatter();
    }

    /** @param array<mixed> $parameters */
    public function trans(string $id, array $parameters = [], ?string $domain = null, ?string $locale = null): string
    {
        $locale ??= $this->getLocale();
        $catalogue = $this->inner->getCatalogue($locale);
        $message = $catalogue->defines($id, $domain ?? 'messages')
            ? $catalogue->get($id, $domain ?? 'messages')
            : $this->inWordsOf($catalogue, $id);

        return str_contains($message, '{') ? $this->formatter->formatIntl($message, $locale, $parameters) : $message;
    }

    /** With the words a dialect has of its own (its catalogue’s domain “words”); names in braces are left alone. */
    private function inWordsOf(MessageCatalogueInterface $catalogue, string $message): string
    {
        $words = $catalogue->all('words');
        if ([] === $words) {
            return $message;
        }
        $this->pattern ??=
            '/\{\w+[,}](*SKIP)(*FAIL)|\b(?:'
            .implode('|', array_map(static fn (int|string $word): string => preg_quote((string) $word, '/'), array_keys($words)))
            .')\b/iu';

        return preg_replace_callback(
            $this->pattern,
            static function (array $found) use ($words): string {
                $word = $words[mb_strtolower($found[0])] ?? null;
                if (!\is_string($word)) {
                    return $found[0];
                }

                return mb_strtolower($found[0]) === $found[0] ? $word : ucfirst($word);
            },
            $message,
        ) ?? $message;
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
