<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception;
use Doctrine\DBAL\ParameterType;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/**
 * Sessions in the database: written whole or not at all, ended when they are signed out of, two days after they were last
 * used, and a month after they began. No lock is held while a request works. Only a digest of the cookie is kept.
 */
final class DatabaseSessionHandler extends AbstractSessionHandler
{
    private const DAY = 86_400;
    private const IDLE = 2 * self::DAY;
    private const IDLE_UNNAMED = 3_600;
    private const LONGEST = 30 * self::DAY;
    private const NOTED_EVERY = 300;

    /** By how much two clocks may differ. */
    private const AHEAD = 300;

    /** When the visit that was read was last noted, by its digest. */
    private ?int $noted = null;

    public function __construct(
        private readonly Connection $connection,
        private readonly TokenStorageInterface $tokens,
        private readonly ClockInterface $clock,
        private readonly LoggerInterface $logger,
    ) {
    }

    public function endAll(Account $account): void
    {
        $this->connection->executeStatement('DELETE FROM visit WHERE account_id = ?', [$account->id]);
        $this->connection->executeStatement('DELETE FROM rememberme_token WHERE username = ?', [$account->email]);
    }

    public function close(): bool
    {
        return true;
    }

    public function gc(int $max_lifetime): int
    {
        $now = $this->now();

        return (int) $this->connection->executeStatement(
            'DELETE FROM visit WHERE began < :longest OR began > :ahead OR seen < :idle
                OR (account_id IS NULL AND seen < :unnamed)',
            [
                'ahead' => $now + self::AHEAD,
                'longest' => $now - self::LONGEST,
                'idle' => $now - self::IDLE,
                'unnamed' => $now - self::IDLE_UNNAMED,
            ],
        );
    }

    public function updateTimestamp(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        if (null !== $this->noted && $this->noted < $this->now() - self::NOTED_EVERY) {
            $this->attempt(
                fn (): mixed => $this->connection->executeStatement('UPDATE visit SET seen = ? WHERE id = ?', [
                    $this->now(),
                    self::digest($sessionId),
                ]),
            );
        }

        return parent::updateTimestamp($sessionId, $data);
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        $now = $this->now();
        $row = $this->connection->fetchNumeric(
            'SELECT data, seen FROM visit WHERE id = ? AND began BETWEEN ? AND ?
                AND seen BETWEEN CASE WHEN account_id IS NULL THEN ? ELSE ? END AND ?',
            [
                self::digest($sessionId),
                $now - self::LONGEST,
                // a clock that was set back keeps no visit alive
                $now + self::AHEAD,
                $now - self::IDLE_UNNAMED,
                $now - self::IDLE,
                $now + self::AHEAD,
            ],
        );
        [$data, $noted] = false === $row ? ['', null] : $row;
        $this->noted = \is_int($noted) ? $noted : null;

        return \is_string($data) ? $data : '';
    }

    /** A visit that was there when this request began and is gone now was signed out of: it does not come back. */
    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        $user = $this->tokens->getToken()?->getUser();
        $values = [
            'id' => self::digest($sessionId),
            'account' => $user instanceof Account ? $user->id : null,
            'data' => $data,
            'now' => $this->now(),
        ];
        $this->attempt(
            fn (): mixed => $this->connection->executeStatement(
                null === $this->noted
                    ? 'INSERT OR REPLACE INTO visit (id, account_id, data, began, seen) VALUES (:id, :account, :data, :now, :now)'
                    : 'UPDATE visit SET account_id = :account, data = :data, seen = :now WHERE id = :id',
                $values,
                ['data' => ParameterType::LARGE_OBJECT],
            ),
        );

        return true;
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        $this->connection->executeStatement('DELETE FROM visit WHERE id = ?', [self::digest($sessionId)]);

        return true;
    }

    /**
     * What was asked for is done by now: that the visit itself cannot be noted, on a full disk, does not undo it.
     *
     * @param \Closure(): mixed $write
     */
    private function attempt(\Closure $write): void
    {
        try {
            $write();
        } catch (Exception $unwritable) {
            $this->logger->error('The visit could not be noted.', ['exception' => $unwritable]);
        }
    }

    private static function digest(#[\SensitiveParameter] string $sessionId): string
    {
        return hash('sha256', $sessionId);
    }

    private function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }
}
