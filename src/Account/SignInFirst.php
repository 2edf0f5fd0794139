<?php

declare(strict_types=1);

namespace Octavum\Account;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;

/** Sends who is not signed in to the sign-in page, with the way back in the address: no session is begun for that. */
final readonly class SignInFirst
{
    public function __construct(private Security $security, private UrlGeneratorInterface $addresses)
    {
    }

    /** Before the firewall, which would keep the way back in a session. */
    #[AsEventListener(priority: 2)]
    public function onException(ExceptionEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !($event->getThrowable() instanceof AccessDeniedException) || null !== $this->security->getUser()) {
            return;
        }
        $path = $request->getRequestUri();
        $way =
            $request->isMethod('GET') && !$request->isXmlHttpRequest() && !\in_array($path, ['/', '/season'], true) ? ['to' => $path] : [];
        $event->setResponse(new RedirectResponse($this->addresses->generate('sign_in', $way)));
    }
}
