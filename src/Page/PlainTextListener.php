<?php

declare(strict_types=1);

namespace Octavum\Page;

use Octavum\Document\Json\Plain;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Every request passes here before anything reads it: what is typed is plain text from here on, also where no form reads it. */
final readonly class PlainTextListener
{
    private const LONGEST_ADDRESS = 8_000;

    #[AsEventListener(priority: 250)]
    public function onRequest(RequestEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $request = $event->getRequest();
        try {
            $request->getHost();
        } catch (SuspiciousOperationException $suspicious) {
            throw new BadRequestHttpException('The name of the host cannot be.', $suspicious);
        }
        if (\strlen($request->server->getString('REQUEST_URI')) > self::LONGEST_ADDRESS) {
            throw new HttpException(414, 'The address is too long.');
        }
        foreach ([$request->query, $request->request] as $fields) {
            /** @var array<string, mixed> $plain */
            $plain = Plain::all($fields->all());
            $fields->replace($plain);
        }
    }
}
