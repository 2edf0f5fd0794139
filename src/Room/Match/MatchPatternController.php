<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Body\Person;
use Octavum\Core\Match\Making;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Person\People;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What there is for a version. */
final class MatchPatternController extends AbstractController
{
    public function __construct(
        private readonly Library $library,
        private readonly Makings $makings,
        private readonly PatternPages $pages,
        private readonly People $people,
    ) {
    }

    #[Route('/match/pattern', name: 'match_pattern', methods: ['GET'])]
    public function pattern(#[FromQuery] Entry $entry, Settings $settings, #[CurrentUser] Account $account): Response
    {
        $people = $this->people->all($account);
        $person = $this->makings->person($account, $people, $entry->raw('for'));
        $names = $this->library->names($account);
        $id = $names[$entry->raw('q')] ?? $entry->raw('version');
        $found = '' === $id ? null : $this->library->version($account, $id);
        $making = null === $found ? null : $this->making($account, $found[0], $found[1], $person, $entry->raw('size'));

        return $this->render('match/pattern.html.twig', [
            'page' => null === $making ? null : $this->pages->build(
                $making,
                $account,
                $settings,
                $entry->raw('place'),
            ),
            'names' => array_keys($names),
            'typed' => $entry->typed,
            'person' => $person,
            'people' => $people,
            'place' => $entry->raw('place'),
            'places' => $this->pages->places($account),
        ]);
    }

    private function making(Account $account, Pattern $pattern, Version $version, ?Person $person, string $size): Making
    {
        $making = $this->makings->one($account, $pattern, $version, $person);

        return $version->table->hasSize($size) ? $making->inSize($size) : $making;
    }
}
