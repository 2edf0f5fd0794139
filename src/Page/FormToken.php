<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Twig\Environment;

/**
 * Every change must come from a form of this application: a request that changes anything and lacks the session's token
 * is refused before anything else sees it, and what was typed is handed back.
 */
final readonly class FormToken
{
    private const ID = 'form';

    /** Before anyone is signed in there is no session to keep a token in: these go by where the browser says it comes from. */
    private const DOOR = 'door';
    private const AT_THE_DOOR = ['sign_in', 'register', 'demo'];

    public function __construct(private CsrfTokenManagerInterface $tokens, private Environment $twig)
    {
    }

    #[AsEventListener(priority: 20)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $token = $request->request->all()['_token'] ?? $request->headers->get('X-Token');
        $id = \in_array($request->attributes->get('_route'), self::AT_THE_DOOR, true) ? self::DOOR : self::ID;
        if (\is_string($token) && $this->tokens->isTokenValid(new CsrfToken($id, $token))) {
            return;
        }
        $length = (int) $request->headers->get('Content-Length', '0');
        $isForm = \in_array($request->getContentTypeFormat(), ['form', null], true);
        $tooLarge = $isForm && $length > 0 && 0 === $request->request->count() && 0 === $request->files->count();
        $event->setResponse(
            new Response(
                $this->twig->render('error/token.html.twig', [
                    'tooLarge' => $tooLarge,
                ]),
                $tooLarge ? Response::HTTP_REQUEST_ENTITY_TOO_LARGE : Response::HTTP_FORBIDDEN,
            ),
        );
    }
}
