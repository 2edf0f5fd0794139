<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Find\MeantNames;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Person\People;
use Octavum\Store\Plan\PlanChecker;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a cloth can become. */
#[Route('/match')]
final class MatchController extends AbstractController
{
    /** Cloths of one's own that typed words may be meant for. */
    private const NEARLY = 4;

    public function __construct(
        private readonly ClothAsked $asked,
        private readonly ClothPages $pages,
        private readonly Makings $makings,
        private readonly People $people,
        private readonly Stash $stash,
        private readonly PlanChecker $checker,
    ) {
    }

    #[Route('', name: 'match', methods: ['GET'])]
    public function cloth(#[FromQuery] Entry $entry, Settings $settings, #[CurrentUser] Account $account): Response
    {
        $filter = Filter::of($entry);
        $people = $this->people->all($account);
        $person = $this->makings->person($account, $people, $filter->for);
        $lying = $this->asked->all($account, $entry);

        return $this->render('match/cloth.html.twig', [
            'page' => [] === $lying
                ? null
                : $this->pages->build($account, $lying, $this->makings->find($account, $person, $filter), $settings),
            'unplanned' => [] === $lying ? $this->unplanned($account) : [],
            'nearly' => $this->nearly($account, $lying),
            'filter' => $filter,
            'person' => $person,
            'people' => $people,
            'typed' => $entry->typed,
            'faults' => $entry->faults(),
        ]);
    }

    /** The best of what a cut can become, for the page of its cloth. */
    #[Route('/becomes', name: 'match_becomes', methods: ['GET'])]
    public function becomes(#[FromQuery] Entry $entry, Settings $settings, #[CurrentUser] Account $account): Response
    {
        $lying = $this->asked->all($account, $entry);
        $person = $this->makings->person($account, $this->people->all($account), '');

        return [] === $lying ? throw $this->createNotFoundException() : $this->render('match/_becomes.html.twig', [
            'page' => $this->pages->build($account, $lying, $this->makings->find($account, $person, Filter::of($entry)), $settings),
        ]);
    }

    /**
     * @param list<Lying> $lying
     *
     * @return array<string, string> ids of cuts by the names that the typed words may be a slip of
     */
    private function nearly(Account $account, array $lying): array
    {
        $typed = end($lying)->typed ?? '';
        $ids = '' === $typed ? [] : array_map(static fn (array $pair): string => $pair[1]->id, $this->stash->named($account));
        $names = MeantNames::find($typed, array_map(strval(...), array_keys($ids)))->names;

        return array_intersect_key($ids, array_flip(\array_slice($names, 0, self::NEARLY)));
    }

    /** @return list<Lying> the longest cuts that nothing is planned from */
    private function unplanned(Account $account): array
    {
        $promises = $this->checker->promised($account);
        $found = [];
        foreach ($this->stash->all($account) as $cloth) {
            foreach ($cloth->cuts as $cut) {
                $lying = $this->asked->lying($account, $cloth, $cut, $promises[$cut->id] ?? []);
                if (!$cut->gone && [] === $lying->promises && null !== $lying->free) {
                    $found[] = $lying;
                }
            }
        }
        usort($found, static fn (Lying $a, Lying $b): int => $b->free?->micrometres <=> $a->free?->micrometres);

        return \array_slice($found, 0, 12);
    }
}
