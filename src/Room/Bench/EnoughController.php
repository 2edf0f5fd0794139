<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Need;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Shopping\Ask;
use Octavum\Page\Toast;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Makes a short cloth enough: what may be done, each with its figure, several together, and keeping it. */
#[Route('/project/{id}/enough/{claim}', requirements: ['id' => Requirement::ULID, 'claim' => Requirement::ULID])]
final class EnoughController extends AbstractController
{
    public function __construct(private readonly EnoughCases $cases, private readonly AccountSettings $settings)
    {
    }

    #[Route('', name: 'enough', methods: ['GET'])]
    public function show(string $id, string $claim, Request $request, #[CurrentUser] Account $account): Response
    {
        $case = $this->cases->of($account, $id, $claim);
        if (null === $case) {
            return new Response('');
        }
        $chosen = $request->query->getBoolean('least')
            ? $case->make->least($case->make->tried())
            : $case->make->chosen($this->keys($request->query->all()));
        $page = $this->page($case, $chosen, $account);
        $this->cases->remember($case);

        return $this->render('bench/_enough.html.twig', ['page' => $page, 'least' => $request->query->getBoolean('least')]);
    }

    /** The project is made that way from now on. */
    #[Route('/keep', name: 'enough_keep', methods: ['POST'])]
    public function keep(
        string $id,
        string $claim,
        Request $request,
        EnoughKeep $keep,
        Toast $toast,
        #[CurrentUser] Account $account,
    ): Response {
        $case = $this->cases->of($account, $id, $claim) ?? throw $this->createNotFoundException();
        $keys = $this->keys($request->request->all());
        $back = $this->redirectToRoute('project', ['id' => $id]);
        $chosen = $case->make->chosen($keys);
        if ([] === $chosen && !$case->make->isEnough()) {
            $toast->say('Nothing is ticked, so nothing is changed.');

            return $back;
        }
        $undo = $keep->keep($case, $chosen, $account);
        $toast->say(
            '{project} is made that way now.',
            ['project' => $case->project->name],
            $this->generateUrl('undo', ['key' => $undo, 'back' => $back->getTargetUrl()]),
        );

        return $back;
    }

    /** @param list<Change> $chosen */
    private function page(EnoughCase $case, array $chosen, Account $account): EnoughPage
    {
        $settings = $this->settings->of($account);
        $make = $case->make;
        $tried = $make->tried();
        $need = $case->role->need;
        $anew = $need instanceof Need
            ? Ask::for($need, $case->cloth->shrinkage()->along, $settings->counter, $settings->assumptions)
            : null;

        return new EnoughPage(
            $case->project,
            $case->role,
            $case->free,
            $tried,
            $chosen,
            [] === $chosen ? $make->plain() : $make->amount(...$chosen),
            $this->bar($case, $chosen),
            $make->real,
            [] === $chosen && $make->isEnough(),
            $anew,
            null === $anew || null === $case->cloth->pricePerMetre ? null : $anew->cost($case->cloth->pricePerMetre),
        );
    }

    /** @param list<Change> $chosen */
    private function bar(EnoughCase $case, array $chosen): GapBar
    {
        $make = $case->make;
        $at = $make->plain();
        $filled = [[new Sentence('laid out'), $make->need->minus($at)->larger(Length::zero())]];
        foreach ($chosen as $i => $change) {
            $next = $make->amount(...\array_slice($chosen, 0, $i + 1)) ?? $at;
            $filled[] = [$change->words, $at->minus($next)->larger(Length::zero())];
            $at = $next;
        }

        return new GapBar($make->need->minus($case->free)->larger(Length::zero()), $filled);
    }

    /**
     * @param array<mixed> $sent
     *
     * @return list<string>
     */
    private function keys(array $sent): array
    {
        return \array_slice(array_values(array_filter((array) ($sent['with'] ?? []), is_string(...))), 0, 12);
    }
}
