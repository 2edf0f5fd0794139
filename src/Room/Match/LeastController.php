<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Fitting;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Remedy\ChangePairs;
use Octavum\Core\Remedy\Shortfall;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Workroom\Settings;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Person\People;
use Octavum\Store\Plan\PlanChecker;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The least change with which a cut that is short would be enough for a version; asked for once a row is there, since it is laid. */
final class LeastController extends AbstractController
{
    #[Route('/match/least', name: 'match_least', methods: ['GET'])]
    public function least(
        Request $request,
        Library $library,
        Stash $stash,
        PlanChecker $checker,
        People $people,
        Makings $makings,
        EnoughMaker $maker,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $query = $request->query;
        $found = $library->version($account, $query->getString('version'));
        $own = $stash->cut($account, $query->getString('cut'));
        if (null === $found || null === $own) {
            return new Response('');
        }
        [$cloth, $cut] = $own;
        $making = $makings->one($account, ...$found, person: $people->all($account)[$query->getString('for')] ?? null);
        $size = $query->getString('size');
        $wanted = ($found[1]->table->hasSize($size) ? $making->inSize($size) : $making)->wanted();
        $toCut = ToCut::of($cloth, $cut, $settings->assumptions);
        $promises = $query->getBoolean('whole') ? [] : $checker->promised($account)[$cut->id] ?? [];
        $free = Reservation::free($toCut->length, $promises);
        $need = (new Fitting($settings->assumptions))->judge($wanted, CuttingCloth::cut($cloth, $toCut), $free)->amount();
        $make = null === $free || null === $need ? null : $maker->prepare($account, new Shortfall($wanted, $need, $free), $cloth, $cut);
        if (null === $make) {
            return new Response('');
        }
        $least = (new ChangePairs($make))->least($make->tried(paired: false)->tried);
        $maker->remember($make);

        return $this->render('match/_least.html.twig', ['make' => $make, 'least' => $least]);
    }
}
