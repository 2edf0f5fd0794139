<?php

declare(strict_types=1);

namespace Octavum\Page;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;
use Symfony\Component\Routing\Requirement\Requirement;

/** Says at the next page what has been done, and offers to undo it; the sentence is kept with the change, for the list of changes. */
final readonly class Toast
{
    public function __construct(private RequestStack $requests, private Connection $connection)
    {
    }

    /**
     * @param string                $message an English sentence, the translator's key
     * @param array<string, string> $with
     * @param ?string               $undo    address to which undoing is posted
     */
    public function say(string $message, array $with = [], ?string $undo = null): void
    {
        if (1 === preg_match('~/undo/('.Requirement::ULID.')(?:\?|$)~', $undo ?? '', $change)) {
            $says = json_encode([$message, $with, $undo], \JSON_THROW_ON_ERROR);
            $this->connection->executeStatement('UPDATE undo SET says = ? WHERE "key" = ?', [$says, $change[1]]);
        }
        $session = $this->requests->getSession();
        if ($session instanceof FlashBagAwareSessionInterface) {
            $session->getFlashBag()->add('toast', ['message' => $message, 'with' => $with, 'undo' => $undo]);
        }
    }
}
