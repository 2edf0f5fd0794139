<?php

declare(strict_types=1);

namespace Octavum\Account;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/**
 * After five failures for one address from one place, or thirty from one place, signing in waits a quarter of an hour. An
 * address without an account takes as long to refuse as a wrong password.
 */
final readonly class SignInThrottle
{
    private const MOST_FOR_ADDRESS = 5;
    private const MOST_FOR_PLACE = 30;

    public function __construct(
        private RateLimiter $brake,
        private AccountRepository $accounts,
        private PasswordHasherFactoryInterface $hashers,
    ) {
    }

    #[AsEventListener(priority: 2080)]
    public function onCheckPassport(CheckPassportEvent $event): void
    {
        $passport = $event->getPassport();
        $badge = $passport->getBadge(UserBadge::class);
        $credentials = $passport->getBadge(PasswordCredentials::class);
        if (!($credentials instanceof PasswordCredentials) || !($badge instanceof UserBadge)) {
            return;
        }
        $address = $badge->getUserIdentifier();
        if (!$this->brake->try('sign in', self::MOST_FOR_PLACE) || !$this->brake->try(self::key($address), self::MOST_FOR_ADDRESS)) {
            throw new TooManyLoginAttemptsAuthenticationException(RateLimiter::MINUTES);
        }
        if (null === $this->accounts->byEmail($address)) {
            $this->hashers->getPasswordHasher(Account::class)->hash($credentials->getPassword());
            throw new BadCredentialsException();
        }
    }

    #[AsEventListener]
    public function onSuccess(LoginSuccessEvent $event): void
    {
        if ($event->getPassport()->hasBadge(PasswordCredentials::class)) {
            $this->brake->release('sign in', all: false);
            $this->brake->release(self::key($event->getUser()->getUserIdentifier()));
        }
    }

    private static function key(string $address): string
    {
        return 'sign in '.mb_strtolower(trim($address));
    }
}
