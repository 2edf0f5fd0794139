<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Sends headers under which a page can load and run only what ships with the application. */
final readonly class ContentSecurity
{
    public function __construct(private RequestStack $requests)
    {
    }

    /** Marks the import map, the one script that stands in the page itself. */
    public function nonce(): string
    {
        $attributes = $this->requests->getMainRequest()?->attributes;
        $nonce = $attributes?->get('_nonce');
        if (!\is_string($nonce)) {
            $nonce = bin2hex(random_bytes(16));
            $attributes?->set('_nonce', $nonce);
        }

        return $nonce;
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        // the browser keeps those of the page that it has: its scripts carry that page's nonce
        if (304 === $event->getResponse()->getStatusCode()) {
            return;
        }
        $headers = $event->getResponse()->headers;
        $headers->set(
            'Content-Security-Policy',
            \sprintf(
                "default-src 'none'; script-src 'self' 'nonce-%s'; style-src 'self'; img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
                $this->nonce(),
            ),
        );
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('X-Frame-Options', 'DENY');
        $headers->set('Permissions-Policy', 'camera=(), geolocation=(), microphone=()');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        if ([] === array_filter(['public', 'immutable', 'no-store'], $headers->hasCacheControlDirective(...))) {
            $headers->set('Cache-Control', 'no-cache, private');
            $headers->remove('Expires');
        }
    }
}
