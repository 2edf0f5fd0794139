<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;
use Symfony\Component\Security\Http\Event\LogoutEvent;
use Symfony\Component\Security\Http\RememberMe\RememberMeDetails;

/** Whoever signs out where they stayed signed in ends every visit that began with that cookie, on whatever device it was copied to. */
final readonly class StaySignedIn
{
    private const COOKIE = 'REMEMBERME';
    private const BEGAN_WITH = '_began_with';

    public function __construct(private Connection $connection)
    {
    }

    #[AsEventListener]
    public function onLogin(LoginSuccessEvent $event): void
    {
        $series = $this->series($event->getRequest());
        if (null !== $series && $event->getRequest()->hasSession()) {
            $event->getRequest()->getSession()->set(self::BEGAN_WITH, $series);
        }
    }

    /** Before the cookie is taken away. */
    #[AsEventListener(priority: 100)]
    public function onLogout(LogoutEvent $event): void
    {
        $account = $event->getToken()?->getUser();
        $series = $this->series($event->getRequest());
        if (null !== $series && $account instanceof Account) {
            $this->connection->executeStatement('DELETE FROM visit WHERE account_id = ? AND instr(data, ?) > 0', [$account->id, $series]);
        }
    }

    /** What tells the cookie, through all its renewals, from others; not the secret in it. */
    private function series(Request $request): ?string
    {
        $cookie = $request->cookies->get(self::COOKIE);
        try {
            $value = \is_string($cookie) ? RememberMeDetails::fromRawCookie($cookie)->getValue() : '';
        } catch (AuthenticationException) {
            return null;
        }

        return '' === $value ? null : hash('sha256', explode(':', $value)[0]);
    }
}
