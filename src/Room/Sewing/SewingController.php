<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Account;
use Octavum\Core\Sewing\YearInReview;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanLoader;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The sewing: what fits the time there is, a seam for each project, what goes in one go; and the year looked back on. */
#[Route('/sewing')]
final class SewingController extends AbstractController
{
    /** Minutes that can be chosen, and what each is called. */
    public const HAVE = [5 => '5 min', 15 => '15', 30 => '30', 60 => '1 h', 150 => 'an evening'];

    private const USUAL = 30;

    #[Route('', name: 'sewing', methods: ['GET'])]
    public function show(Request $request, SewingPages $pages, #[CurrentUser] Account $account): Response
    {
        $have = (int) $request->query->getString('have');

        return $this->render('sewing/show.html.twig', [
            'page' => $pages->page($account, isset(self::HAVE[$have]) ? $have : self::USUAL),
            'choices' => self::HAVE,
            'asks' => $request->query->getString('asks'),
        ]);
    }

    #[Route('/year/{year}', name: 'review', requirements: ['year' => '[12]\d{3}'], defaults: ['year' => null], methods: ['GET'])]
    public function review(
        ?string $year,
        PlanLoader $plan,
        Stash $stash,
        ReviewDrawing $drawing,
        ClockInterface $clock,
        #[CurrentUser] Account $account,
    ): Response {
        $projects = $plan->drawn($account);
        $reviews = new YearInReview();
        $years = $reviews->years($projects);
        $today = \DateTimeImmutable::createFromInterface($clock->now());
        $of = (int) ($year ?? $years[0] ?? $today->format('Y'));
        $review = $reviews->review($of, $projects, $stash->all($account), $today);

        return $this->render('sewing/review.html.twig', [
            'review' => $review,
            'years' => array_values(array_unique([...$years, $of])),
            'charts' => $drawing->draw($review),
        ]);
    }
}
