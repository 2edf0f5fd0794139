<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Input\Entry;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Store\Overrule\Overrules;
use Octavum\Store\Pattern\PatternRepository;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The sewist says that a cloth will do for a version, and why; or takes it back. */
final class OverruleController extends AbstractController
{
    #[Route('/match/overrule', name: 'overrule', methods: ['POST'], priority: 1)]
    public function say(
        Request $request,
        ClothRepository $cloths,
        PatternRepository $patterns,
        Overrules $overrules,
        Toast $toast,
        ClockInterface $clock,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $cloth = $cloths->hereOf($account, $entry->raw('cloth')) ?? throw $this->createNotFoundException();
        $version = $patterns->versionOf($account, $entry->raw('version')) ?? throw $this->createNotFoundException();
        $back = ReturnPath::to($request, $this->generateUrl('match'));
        $reason = $entry->text('reason', 300);
        $with = ['cloth' => $cloth->name, 'pattern' => $version->pattern->title];
        if ($entry->has('back_again')) {
            $notice = new Notice('The rules judge {cloth} for {pattern} again.', $with, $back->getTargetUrl());
            $overrules->takeBack($cloth, $version, $notice);
        } elseif ('' === $reason || !$entry->isSound()) {
            $toast->say('Say in a few words why {cloth} will do for {pattern}: the reason is kept with it. Nothing was changed.', $with);
        } else {
            $notice = new Notice('{cloth} will do for {pattern}: your reason is kept.', $with, $back->getTargetUrl());
            $overrules->say($cloth, $version, $reason, $clock->now(), $notice);
        }

        return $back;
    }
}
