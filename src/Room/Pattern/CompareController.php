<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Pattern\Comparison;
use Octavum\Input\ChosenName;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Store\Pattern\Library;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Two versions side by side, by what differs. */
final class CompareController extends AbstractController
{
    #[Route('/versions/{id}/compare', name: 'version_compare', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function compare(string $id, #[FromQuery] Entry $entry, Library $library, #[CurrentUser] Account $account): Response
    {
        [$pattern, $version] = $library->version($account, $id) ?? throw $this->createNotFoundException();
        $siblings = array_values(array_filter($pattern->versions, static fn ($one): bool => $one->id !== $id));
        $names = $library->names($account);
        $with = $names[ChosenName::read($entry, 'with', array_keys($names)) ?? ''] ?? $entry->raw('with');
        [$otherPattern, $other] = $library->version($account, '' === $with ? $siblings[0]->id ?? '' : $with) ?? [$pattern, $version];
        $sizes = array_values(array_intersect($version->table->sizes, $other->table->sizes));
        $sizes = [] === $sizes ? $version->table->sizes : $sizes;
        $asked = $entry->raw('size');
        $size = \in_array($asked, $sizes, true) ? $asked : $sizes[intdiv(\count($sizes), 2)] ?? '';

        return $this->render('pattern/compare.html.twig', [
            'first' => ['pattern' => $pattern, 'version' => $version],
            'second' => ['pattern' => $otherPattern, 'version' => $other],
            'with' => (string) array_search($other->id, $names, true),
            'fault' => $entry->faults()['with'] ?? null,
            'sizes' => $sizes,
            'size' => $size,
            'rows' => (new Comparison())->compare($version, $other, $size),
        ]);
    }
}
