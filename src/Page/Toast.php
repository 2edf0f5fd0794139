<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;

/** Says at the next page what has been done, and offers to undo it. */
final readonly class Toast
{
    public function __construct(private RequestStack $requests)
    {
    }

    /**
     * @param string                $message an English sentence, the translator's key
     * @param array<string, string> $with
     * @param ?string               $undo    address to which undoing is posted
     */
    public function say(string $message, array $with = [], ?string $undo = null): void
    {
        $request = $this->requests->getCurrentRequest();
        $session = true === $request?->hasSession() ? $request->getSession() : null;
        if ($session instanceof FlashBagAwareSessionInterface) {
            $session->getFlashBag()->add('toast', ['message' => $message, 'with' => $with, 'undo' => $undo]);
        }
    }
}
