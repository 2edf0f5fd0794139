<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Measure\Sentence;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Shows back, while someone types a day, which one is understood. */
final readonly class DayController
{
    #[Route('/read/day', name: 'read_day', methods: ['GET'])]
    public function read(#[FromQuery] Entry $entry, AccountSettings $settings, SentenceWriter $sentences): JsonResponse
    {
        $day = $entry->date('text', $entry->boolean('past'));
        if (null === $day) {
            return new JsonResponse(['understood' => false, 'text' => implode(' ', array_map(
                static fn (Sentence $fault): string => $sentences->write($fault, $settings->tape()),
                array_values($entry->faults()),
            ))]);
        }

        return new JsonResponse([
            'understood' => true,
            'day' => $day->format('Y-m-d'),
            'written' => $settings->current()->dates->write($day),
            'text' => $day->format('D').' '.$settings->current()->dates->write($day, short: false),
        ]);
    }
}
