<?php

declare(strict_types=1);

namespace Octavum\Room\Shopping;

use Octavum\Account\Account;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Shopping\ShoppingList;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ProjectMapper;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a season still wants from a shop, as counter cards. */
final class ShoppingController extends AbstractController
{
    #[Route('/shopping', name: 'shopping', methods: ['GET'])]
    public function list(
        Request $request,
        PlanLoader $plan,
        PlanChecker $checker,
        ProjectMapper $mapper,
        Settings $settings,
        #[FromQuery] Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $seasons = $plan->seasons($account);
        $season = $plan->current($account, $seasons, $request->query->getString('season'));
        if (null === $season) {
            return $this->render('season/none.html.twig');
        }
        $counter = Counter::tryFrom($request->query->getString('counter')) ?? $settings->counter;
        $width = '' === $entry->raw('width') ? null : $entry->length('width', $settings->system->widthUnit());
        $checked = $checker->check($account, $mapper->season($season));

        return $this->render('shopping/list.html.twig', [
            'checked' => $checked,
            'items' => (new ShoppingList($settings->assumptions, $counter, $settings->system, $width))->compile($checked),
            'counter' => $counter,
            'width' => $width,
            'widths' => ShoppingList::usualWidths($settings->system),
            'typed' => $entry->raw('width'),
            'faults' => $entry->faults(),
            'seasons' => $seasons,
        ]);
    }
}
