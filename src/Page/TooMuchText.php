<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** More text than any form or table holds is refused before it is read: it would take seconds, and hundreds of megabytes. */
final readonly class TooMuchText
{
    /** Bytes: a table of three megabytes as its preview sends it again, and room beside it. */
    private const MOST = 6_000_000;

    /** Before anything reads it, also before it is made plain. */
    #[AsEventListener(priority: 260)]
    public function onRequest(RequestEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $bytes = 0;
        $fields = $event->getRequest()->request->all();
        array_walk_recursive($fields, static function (mixed $text) use (&$bytes): void {
            $bytes += \is_string($text) ? \strlen($text) : 0;
        });
        if ($bytes > self::MOST) {
            throw new HttpException(Response::HTTP_REQUEST_ENTITY_TOO_LARGE, 'More text than can be read.');
        }
    }
}
