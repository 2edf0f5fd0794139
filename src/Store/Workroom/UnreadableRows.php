<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Database\UnreadableFilter;
use Octavum\Page\CannotWrite;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Twig\Attribute\AsTwigFunction;

/**
 * A page that fails looks whether a stored row is the reason. What cannot be read is left out from then on, with a line on every page
 * that says so, and the page is answered anew.
 */
final readonly class UnreadableRows
{
    /** @param \Closure(): RowCheck $check made only for a page that failed */
    public function __construct(
        private EntityManagerInterface $entities,
        private Security $security,
        private AccountSettings $settings,
        #[AutowireServiceClosure(RowCheck::class)] private \Closure $check,
    ) {
    }

    /** @return list<array{kind: string, name: string, why: string}> what cannot be read, without what belongs to it */
    #[AsTwigFunction('unreadable')]
    public function all(): array
    {
        $account = $this->security->getUser();
        if (!$account instanceof Account) {
            return [];
        }
        $all = 0 === $account->unreadable ? [] : $this->rows('account_id = ? AND why <> \'\'', [$account->id]);

        return $this->settings->areReadable($account)
            ? $all
            : [...$all, ['kind' => 'account', 'name' => 'settings', 'why' => 'The usual settings are used.']];
    }

    /** @return ?array{kind: string, name: string, why: string} what an address asks for that cannot be read */
    #[AsTwigFunction('unreadable_at')]
    public function at(string $path): ?array
    {
        $account = $this->security->getUser();
        if (!$account instanceof Account || 0 === $account->unreadable || 0 === preg_match_all('/[0-9A-HJKMNP-TV-Z]{26}/', $path, $ids)) {
            return null;
        }
        $places = implode(', ', array_fill(0, \count($ids[0]), '?'));

        return $this->rows('account_id = ? AND id IN ('.$places.')', [$account->id, ...$ids[0]])[0] ?? null;
    }

    #[AsEventListener(priority: 7)]
    public function onRequest(RequestEvent $event): void
    {
        $account = $this->security->getUser();
        if ($account instanceof Account && $account->unreadable > 0) {
            $this->entities->getFilters()->enable(UnreadableFilter::NAME);
        }
    }

    #[AsEventListener(priority: 50)]
    public function onException(ExceptionEvent $event): void
    {
        $why = $event->getThrowable();
        $account = $this->security->getUser();
        for ($cause = $why; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof HttpExceptionInterface || $cause instanceof DriverException) {
                return;
            }
        }
        if (!$account instanceof Account || $event->getRequest()->attributes->getBoolean(CannotWrite::SECOND)) {
            return;
        }
        $this->entities->clear();
        if (($this->check)()->leaveOut($account)) {
            $event->getRequest()->attributes->set(CannotWrite::AGAIN, true);
            $event->setResponse(new Response(status: Response::HTTP_CONFLICT));
        }
    }

    /**
     * @param list<string> $with
     *
     * @return list<array{kind: string, name: string, why: string}>
     */
    private function rows(string $where, array $with): array
    {
        /** @var list<array{kind: string, name: string, why: string}> $rows */
        $rows = $this->entities->getConnection()->fetchAllAssociative('SELECT kind, name, why FROM unreadable WHERE '.$where, $with);

        return $rows;
    }
}
