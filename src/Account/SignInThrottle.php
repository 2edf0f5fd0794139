<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** After five failures for one address from one place, or thirty from one place, signing in waits a quarter of an hour. */
final readonly class SignInThrottle
{
    private const MOST_FOR_ADDRESS = 5;
    private const MOST_FOR_PLACE = 30;
    private const MINUTES = 15;

    public function __construct(private EntityManagerInterface $entities, private RequestStack $requests, private ClockInterface $clock)
    {
    }

    #[AsEventListener(priority: 2080)]
    public function onCheckPassport(CheckPassportEvent $event): void
    {
        $passport = $event->getPassport();
        $badge = $passport->getBadge(UserBadge::class);
        if (!$passport->hasBadge(PasswordCredentials::class) || !$badge instanceof UserBadge) {
            return;
        }
        foreach ($this->keys($badge->getUserIdentifier()) as $key => $most) {
            $attempts = $this->entities->find(SignInAttempts::class, $key);
            if (null !== $attempts && $attempts->failures >= $most && $attempts->last > $this->clock->now()->modify('-'.self::MINUTES.' minutes')) {
                throw new TooManyLoginAttemptsAuthenticationException(self::MINUTES);
            }
        }
    }

    #[AsEventListener]
    public function onFailure(LoginFailureEvent $event): void
    {
        $badge = $event->getPassport()?->getBadge(UserBadge::class);
        if (!$badge instanceof UserBadge || $event->getException() instanceof TooManyLoginAttemptsAuthenticationException) {
            return;
        }
        $now = $this->clock->now();
        foreach (array_keys($this->keys($badge->getUserIdentifier())) as $key) {
            $attempts = $this->entities->find(SignInAttempts::class, $key) ?? new SignInAttempts($key, $now);
            $attempts->failures = $attempts->last <= $now->modify('-'.self::MINUTES.' minutes') ? 1 : $attempts->failures + 1;
            $attempts->last = $now;
            $this->entities->persist($attempts);
        }
        $this->entities->flush();
    }

    #[AsEventListener]
    public function onSuccess(LoginSuccessEvent $event): void
    {
        $key = array_key_first($this->keys($event->getUser()->getUserIdentifier()));
        $attempts = $this->entities->find(SignInAttempts::class, $key);
        if (null !== $attempts) {
            $this->entities->remove($attempts);
            $this->entities->flush();
        }
    }

    /** @return non-empty-array<string, int> key → failures allowed; the address's own first */
    private function keys(string $address): array
    {
        $place = $this->requests->getMainRequest()?->getClientIp() ?? '';

        return [
            hash('sha256', mb_strtolower(trim($address))."\0".$place) => self::MOST_FOR_ADDRESS,
            hash('sha256', "\0".$place) => self::MOST_FOR_PLACE,
        ];
    }
}
