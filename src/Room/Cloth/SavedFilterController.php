<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Document\Json\Plain;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Filters of the stash's list, kept by name. */
final class SavedFilterController extends AbstractController
{
    private const MOST = 20;
    private const LONGEST = 500;

    public function __construct(private readonly ChangeLog $changes, private readonly Toast $toast)
    {
    }

    #[Route('/cloth/filters', name: 'filter_save', methods: ['POST'])]
    public function save(Request $request, #[CurrentUser] Account $account): Response
    {
        $name = mb_substr(trim($request->request->getString('name')), 0, 40);
        $query = $this->query($request);
        if ('' === $name || [] === $query) {
            $this->toast->say('Nothing is kept: choose something to filter by, and give it a name.');
        } elseif (\count($account->filters) >= self::MOST && !isset($account->filters[$name])) {
            $this->toast->say('Twenty filters are kept at most: take one out first.');
        } else {
            $filters = [$name => http_build_query($query)] + $account->filters;
            $back = $this->generateUrl('cloths', $query);
            $this->keep($account, $filters, new Notice('The filter “{name}” is kept.', ['name' => $name], $back));
        }

        return $this->redirectToRoute('cloths', $query);
    }

    #[Route('/cloth/filters/remove', name: 'filter_remove', methods: ['POST'], priority: 1)]
    public function remove(Request $request, #[CurrentUser] Account $account): Response
    {
        $name = $request->query->getString('name');
        $query = $account->filters[$name] ?? throw $this->createNotFoundException();
        $filters = array_diff_key($account->filters, [$name => '']);
        $this->keep($account, $filters, new Notice('The filter “{name}” is taken out.', ['name' => $name], $this->generateUrl('cloths')));

        return $this->redirectToRoute('cloths');
    }

    /** @param array<string, string> $filters */
    private function keep(Account $account, array $filters, Notice $notice): void
    {
        $make = static function () use ($account, $filters): void {
            $account->filters = $filters;
        };
        $this->changes->commit([$account], $make, $notice);
    }

    /** @return array<string, string> */
    private function query(Request $request): array
    {
        parse_str(mb_substr($request->request->getString('query'), 0, self::LONGEST), $query);
        $query = Plain::all($query);
        $kept = [];
        foreach (['words', 'kind', 'length', 'width', 'unwashed', 'aside', 'weight', 'place', 'set', 'colour', 'free', 'sort'] as $field) {
            $value = $query[$field] ?? '';
            if (\is_string($value) && '' !== $value) {
                $kept[$field] = $value;
            }
        }

        return $kept;
    }
}
