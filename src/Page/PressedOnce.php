<?php

declare(strict_types=1);

namespace Octavum\Page;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\Uid\Ulid;

/**
 * Makes each press of a button count once: every form carries a key, and a form that was sent before, the same key with the same
 * entries, leads where the first led and changes nothing. What came to nothing (an entry to mend, a lost race) may be sent again.
 */
final readonly class PressedOnce
{
    public const FIELD = '_once';
    private const KEPT = '-2 days';

    /** Where a request that is being answered keeps the row that stands for it. */
    private const ROW = '_once_row';

    /** Within so many seconds it is a double click, which needs no words. */
    private const DOUBLE = 10;

    /** A second press waits so often, 50 ms each, until the first is answered. */
    private const WAITS = 60;
    private const WAIT = 50_000;

    public function __construct(
        private Connection $connection,
        private Security $security,
        private ClockInterface $clock,
        private Toast $toast,
    ) {
    }

    /** @return string a key for one form */
    public function key(): string
    {
        return (string) new Ulid();
    }

    #[AsEventListener(priority: 5)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $user = $this->security->getUser();
        $key = $request->request->all()[self::FIELD] ?? null;
        if (
            !$event->isMainRequest()
            || $request->isMethodSafe()
            || !\is_string($key)
            || !Ulid::isValid($key)
            || null === $user
            || $request->isXmlHttpRequest()
        ) {
            return;
        }
        $sent = [$user->getUserIdentifier(), $request->getPathInfo(), $request->request->all(), $this->files($request)];
        $row = hash('xxh128', serialize($sent));
        $now = $this->clock->now();
        $this->connection->executeStatement('DELETE FROM once WHERE pressed_at < ?', [$now->modify(self::KEPT)->getTimestamp()]);
        $isFirst = 1 === $this->connection->executeStatement(
            'INSERT OR IGNORE INTO once (row, pressed_at) VALUES (?, ?)',
            [$row, $now->getTimestamp()],
        );
        if ($isFirst) {
            $request->attributes->set(self::ROW, $row);

            return;
        }
        $first = $this->first($row);
        if (null === $first) {
            // it came to nothing: this one counts
            return;
        }
        [$led, $pressed] = $first;
        if ($now->getTimestamp() - $pressed > self::DOUBLE) {
            $this->toast->say('This was sent already, so nothing more is changed.');
        }
        $event->setResponse(new RedirectResponse('' === $led ? $this->from($request) : $led));
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $row = $event->getRequest()->attributes->get(self::ROW);
        if (!$event->isMainRequest() || !\is_string($row)) {
            return;
        }
        $response = $event->getResponse();
        if ($response->isRedirection()) {
            $led = $response->headers->get('Location', '');
            $this->connection->executeStatement('UPDATE once SET led = ? WHERE row = ?', [$led, $row]);
        } else {
            $this->connection->executeStatement('DELETE FROM once WHERE row = ?', [$row]);
        }
    }

    /** @return ?array{string, int} where the first press led, and when it was pressed; null when it came to nothing */
    private function first(string $row): ?array
    {
        for ($i = 0; $i < self::WAITS; ++$i) {
            $first = $this->connection->fetchNumeric('SELECT led, pressed_at FROM once WHERE row = ?', [$row]);
            if (false === $first) {
                return null;
            }
            if (\is_string($first[0])) {
                return [$first[0], is_numeric($first[1]) ? (int) $first[1] : 0];
            }
            usleep(self::WAIT);
        }

        return ['', 0];
    }

    /** @return list<string> name and size of each file that came along */
    private function files(Request $request): array
    {
        $files = [];
        $all = $request->files->all();
        array_walk_recursive($all, static function (mixed $file) use (&$files): void {
            $files[] = $file instanceof UploadedFile ? $file->getClientOriginalName().' '.$file->getSize() : '';
        });

        return $files;
    }

    /** The page the form stands on, of this application alone. */
    private function from(Request $request): string
    {
        $path = parse_url($request->headers->get('Referer', ''), \PHP_URL_PATH);

        return \is_string($path) && 1 === preg_match('~^/(?![/\\\\])[\w/.-]*$~D', $path) ? $path : '/';
    }
}
