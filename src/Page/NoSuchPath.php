<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** An address with a character that no name has, such as a null byte, leads nowhere: nothing behind it has to bear it. */
final readonly class NoSuchPath
{
    #[AsEventListener(priority: 6)]
    public function onRequest(RequestEvent $event): void
    {
        $path = rawurldecode($event->getRequest()->getPathInfo());
        $isOdd = 1 === preg_match('/[\x00-\x1f\x7f]/', $path) || !mb_check_encoding($path, 'UTF-8');
        if ($isOdd && $event->isMainRequest()) {
            throw new NotFoundHttpException();
        }
    }
}
