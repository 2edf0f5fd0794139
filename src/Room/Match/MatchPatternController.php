<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Body\Person;
use Octavum\Core\Match\Making;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\ChosenName;
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
        $name = ChosenName::read($entry, 'q', array_keys($names));
        if (null === $name && '' !== $entry->raw('q')) {
            $entry->fault('q', new Sentence('There is no version called “{name}”: choose one of the list.', [
                'name' => mb_substr($entry->raw('q'), 0, 60),
            ]));
        }
        $id = null === $name ? $entry->raw('version') : $names[$name];
        $found = '' === $id ? null : $this->library->version($account, $id);
        $making = null === $found ? null : $this->making($account, $found[0], $found[1], $person, $entry->raw('size'));

        return $this->render('match/pattern.html.twig', [
            'page' => null === $making ? null : $this->pages->build(
                $making,
                $account,
                $settings,
                $entry->raw('place'),
            ),
            'isEmpty' => [] === $names,
            'typed' => $entry->typed,
            'faults' => $entry->faults(),
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
