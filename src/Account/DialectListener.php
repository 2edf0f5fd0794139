<?php

declare(strict_types=1);

namespace Octavum\Account;

use Octavum\Core\Workroom\Dialect;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Translation\LocaleSwitcher;

/** Answers in the dialect of whoever is signed in. */
final readonly class DialectListener
{
    public function __construct(private AccountSettings $settings, private LocaleSwitcher $locales)
    {
    }

    /** After the firewall has found out who it is. */
    #[AsEventListener(priority: 6)]
    public function onRequest(RequestEvent $event): void
    {
        if ($event->isMainRequest()) {
            $this->speak();
        }
    }

    public function speak(): void
    {
        $this->locales->setLocale(Dialect::American === $this->settings->current()->dialect ? 'en_US' : 'en');
    }
}
