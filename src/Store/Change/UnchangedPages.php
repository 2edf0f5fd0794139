<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

use Octavum\Account\Account;
use Octavum\Store\Lay\CachedLays;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\ParameterBag\ContainerBagInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * Answers "not modified" for a page that the browser has, while nothing of the account was changed since, before anything is worked
 * out. A page with words that are said once, or whose figures are still being laid, has no tag and is always made anew.
 */
final readonly class UnchangedPages
{
    /** As the session was when the request came; null where the page gets no tag. */
    private const SESSION = '_session_before';

    /** Its minutes go on by themselves. */
    private const ALWAYS_NEW = 'sewing';

    public function __construct(
        private Security $security,
        private ClockInterface $clock,
        private PageState $state,
        private CachedLays $lays,
        private ContainerBagInterface $parameters,
    ) {
    }

    /** After the firewall, and after presses that count once. */
    #[AsEventListener(priority: 4)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $account = $this->security->getUser();
        if (
            !$event->isMainRequest()
            || !$request->isMethod('GET')
            || $request->isXmlHttpRequest()
            || !$account instanceof Account
            || self::ALWAYS_NEW === $request->attributes->get('_route')
        ) {
            return;
        }
        $session = $request->getSession();
        if ($session instanceof FlashBagAwareSessionInterface && [] !== $session->getFlashBag()->peekAll()) {
            return;
        }
        $request->attributes->set(self::SESSION, serialize($session->all()));
        $kept = (new Response())->setEtag($this->tag($account, $request));
        if ($kept->isNotModified($request)) {
            $event->setResponse($kept);
        }
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        $response = $event->getResponse();
        $account = $this->security->getUser();
        if (!$event->isMainRequest() || !$account instanceof Account) {
            return;
        }
        if ((!$request->isMethodSafe() && true !== $request->attributes->get('_reads')) || $this->lays->hasStored()) {
            $this->state->renew($account->id);
        }
        $isSame = $request->attributes->get(self::SESSION) === serialize($request->getSession()->all());
        $isPage = 200 === $response->getStatusCode() && str_starts_with($response->headers->get('Content-Type', 'text/html'), 'text/html');
        if ($isSame && $isPage && !$this->lays->isMissingAny() && !$this->lays->hasStored()) {
            $response->setEtag($this->tag($account, $request));
        }
    }

    private function tag(Account $account, Request $request): string
    {
        return hash('xxh128', serialize([
            $account->id,
            $account->pageState,
            $account->season,
            $account->unreadable,
            $request->getSession()->getId(),
            $this->clock->now()->format('Y-m-d'),
            // of this release, known once the container is built
            $this->parameters->get('container.build_id'),
        ]));
    }
}
