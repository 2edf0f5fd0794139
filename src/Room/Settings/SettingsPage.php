<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Backup\Backups;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Document\Json\DocumentFault;
use Octavum\Files\FileShelf;
use Octavum\Input\Entry;
use Octavum\Store\Person\People;
use Octavum\Store\Workroom\Replaced;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** The settings page, which several forms come back to with what was typed into them. */
final readonly class SettingsPage
{
    public function __construct(
        private Environment $twig,
        private AccountSettings $settings,
        private People $people,
        private Replaced $replaced,
        private Backups $backups,
        private FileShelf $shelf,
    ) {
    }

    /** @param list<DocumentFault> $documentFaults of a document that was refused */
    public function show(Account $account, Entry $entry, array $documentFaults = []): Response
    {
        return new Response(
            $this->twig->render('account/settings.html.twig', [
                'account' => $account,
                'people' => $this->people->all($account),
                'replaced' => $this->replaced->find($account),
                'files' => $this->shelf->count($account),
                'backup' => $this->backups->last()[0] ?? null,
                'values' => $entry->typed + $this->values($account),
                'faults' => $entry->faults(),
                'documentFaults' => $documentFaults,
            ]),
            $entry->isSound() && [] !== $documentFaults ? Response::HTTP_UNPROCESSABLE_ENTITY : $entry->status(),
        );
    }

    /** @return array<string, string> */
    public function values(Account $account): array
    {
        $settings = $this->settings->load($account);
        $tape = new LengthFormatter($settings->system);

        return [
            'name' => $account->name,
            'units' => $settings->system->value,
            'counter' => $settings->counter->value,
            'currency' => $settings->currency,
            'squaring' => $tape->typed($settings->assumptions->squaring, small: true),
            'counterLeast' => null === $settings->assumptions->counterLeast ? '' : $tape->typed($settings->assumptions->counterLeast),
            'selvage' => $tape->typed($settings->assumptions->selvage, small: true),
            'dialect' => $settings->dialect->value,
            'dates' => $settings->dates->value,
            'bothUnits' => $settings->bothUnits ? '1' : '',
            'matching' => $settings->assumptions->matching->value,
            'fitsLeast' => $tape->typed($settings->assumptions->fitsLeast, small: true),
        ];
    }
}
