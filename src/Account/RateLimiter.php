<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;

/**
 * Slows down guessing: so many tries in a quarter of an hour. A try is counted before it is looked at, in one statement, so
 * that many at once are no way round it.
 */
final readonly class RateLimiter
{
    public const MINUTES = 15;

    public function __construct(private Connection $connection, private RequestStack $requests, private ClockInterface $clock)
    {
    }

    /** Whether one more try is let through. */
    public function try(string $what, int $most): bool
    {
        $failures = $this->connection->fetchOne(
            <<<'SQL'
            INSERT INTO sign_in_attempts ("key", failures, last) VALUES (:key, 1, :now)
            ON CONFLICT ("key") DO UPDATE SET
                failures = CASE WHEN last <= :ago THEN 1 ELSE failures + 1 END,
                last = CASE WHEN last > :ago AND failures >= :most THEN last ELSE :now END
            RETURNING failures
            SQL,
            ['key' => $this->key($what), 'most' => $most] + $this->times(),
        );

        return is_numeric($failures) && $failures <= $most;
    }

    /** The try was right: it and those before it no longer count, or it alone. */
    public function release(string $what, bool $all = true): void
    {
        $this->connection->executeStatement(
            'UPDATE sign_in_attempts SET failures = '.($all ? '0' : 'MAX(0, failures - 1)').' WHERE "key" = ?',
            [$this->key($what)],
        );
        $this->connection->executeStatement('DELETE FROM sign_in_attempts WHERE last < ?', [$this->times()['ago']]);
    }

    /** Of this place, so that nobody is locked out by somebody elsewhere. */
    private function key(string $what): string
    {
        return hash('sha256', $what."\0".($this->requests->getMainRequest()?->getClientIp() ?? ''));
    }

    /** @return array{now: string, ago: string} */
    private function times(): array
    {
        $now = $this->clock->now();

        return ['now' => $now->format('Y-m-d H:i:s'), 'ago' => $now->modify('-'.self::MINUTES.' minutes')->format('Y-m-d H:i:s')];
    }
}
