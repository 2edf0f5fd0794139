<?php

declare(strict_types=1);

namespace Octavum\Page;

use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\OptimisticLockException;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Filesystem\Exception\IOException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/**
 * What could not be written. Of two requests at once on one thing the later begins anew, on what the earlier has left: it
 * then finds that its form is from before, and shows both. A disk that is full, or may not be written to, is said in a sentence.
 */
final readonly class CannotWrite
{
    /** Marks a request that lost a race and changed nothing: it is answered anew, once, from what stands there now. */
    public const AGAIN = '_again';
    public const SECOND = '_second';

    private const NO_ROOM = 65_536;

    public function __construct(#[Autowire('%env(resolve:OCTAVUM_DATA)%')] private string $data)
    {
    }

    #[AsEventListener(priority: 100)]
    public function onException(ExceptionEvent $event): void
    {
        for ($cause = $event->getThrowable(); null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof OptimisticLockException || $cause instanceof UniqueConstraintViolationException) {
                if ($event->getRequest()->attributes->getBoolean(self::SECOND)) {
                    $event->setThrowable(new ConflictHttpException('Changed at the same moment.', $cause));
                } else {
                    $event->getRequest()->attributes->set(self::AGAIN, true);
                    $event->setResponse(new Response(status: Response::HTTP_CONFLICT));
                }

                return;
            }
            $http = $cause instanceof DriverException || $cause instanceof IOException ? $this->said($cause) : null;
            if (null !== $http) {
                $event->setThrowable($http);

                return;
            }
        }
    }

    private function said(\Throwable $cause): ?HttpException
    {
        $readOnly = preg_match(
            '/readonly database|unable to open database|read-only file system|permission denied|failed to (write|create)|database is locked/i',
            $cause->getMessage(),
        );

        $full = preg_match('/database or disk is full|no space left|disk quota|disk i\/o error/i', $cause->getMessage());

        return match (1) {
            $readOnly & (int) (@disk_free_space($this->data) < self::NO_ROOM),
            $full => new HttpException(Response::HTTP_INSUFFICIENT_STORAGE, 'The disk is full.', $cause),
            $readOnly => new ServiceUnavailableHttpException(null, 'The data cannot be written to.', $cause),
            default => null,
        };
    }
}
