<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Remedy\Attempts;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\ChangePairs;
use Octavum\Core\Shopping\Ask;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\Notice;
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
    /** Seconds after which the figures found so far are shown, and the rest is asked for again. */
    private const SLICE = 0.5;

    public function __construct(
        private readonly EnoughCases $cases,
        private readonly EnoughMaker $maker,
        private readonly AccountSettings $settings,
    ) {
    }

    #[Route('', name: 'enough', methods: ['GET'])]
    public function show(string $id, string $claim, Request $request, #[CurrentUser] Account $account): Response
    {
        $case = $this->cases->find($account, $id, $claim);
        if (null === $case) {
            return $this->cases->isThere($account, $id) ? new Response('') : throw $this->createNotFoundException();
        }
        $least = $request->query->getBoolean('least');
        $start = microtime(true);
        $up = static fn (): bool => !$least && microtime(true) - $start > self::SLICE;
        $keys = $this->keys($request->query->all());
        // what goes with what is said while nothing is ticked yet
        $attempts = $case->make->tried($up, !$least && [] === $keys);
        $chosen = $least ? (new ChangePairs($case->make))->least($attempts->tried) : $case->make->chosen($keys);
        $page = $this->page($case, $attempts, $chosen, $account);
        $this->maker->remember($case->make);

        return $this->render('match/_enough.html.twig', ['page' => $page, 'least' => $least]);
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
        $case = $this->cases->find($account, $id, $claim);
        if (null === $case) {
            throw $this->createNotFoundException();
        }
        $keys = $this->keys($request->request->all());
        $page = $this->generateUrl('project', ['id' => $id, 'part' => 'cloth']);
        $back = ReturnPath::to($request, $page);
        $page = '' === ReturnPath::path($request) ? $page : ReturnPath::path($request);
        $chosen = $case->make->chosen($keys);
        if ([] !== $chosen && null !== $case->role->line) {
            throw $this->createNotFoundException();
        }
        if ([] === $chosen && !$case->make->isEnough()) {
            $toast->say('Nothing is ticked, so nothing is changed.');

            return $back;
        }
        // pressed twice, or on a page from before
        $isKept = [] === $chosen && null !== $case->role->claim->lay && Verdict::Short !== $case->role->verdict;
        if ($isKept || Verdict::Fits === $case->role->verdict) {
            $toast->say('It is enough already, so nothing is changed.');

            return $back;
        }
        $need = $request->request->getString('need');
        if ('' !== $need && $need !== (string) $case->make->need->micrometres) {
            $toast->say('{project} was changed since this page was opened, so nothing is changed: look at its figures again.', [
                'project' => $case->project->name,
            ]);

            return $back;
        }
        $notice = new Notice('{project} is made that way now.', ['project' => $case->project->name], $page);
        if (!$keep->keep($case, $chosen, $account, $notice)) {
            $toast->say('Laid again, it does not go on the cut: nothing is changed. Lay it on the table, where you see why.');
        }

        return $back;
    }

    /** @param list<Change> $chosen */
    private function page(EnoughCase $case, Attempts $attempts, array $chosen, Account $account): EnoughPage
    {
        $make = $case->make;
        $need = $case->role->need;
        $toBuy = $need instanceof Need ? ['' => $need] : [];
        foreach ([...array_column($attempts->tried, 'change'), ...$chosen] as $change) {
            if (true === $change->from?->isToBuy() && null !== $change->takes) {
                $working = Working::empty()->start($change->words, $change->takes, Source::Lay);
                $toBuy[$change->key] = new Need($change->takes, NeedSource::QuickLay, static fn (): Working => $working);
            }
        }
        $bar = [[new Sentence('laid out'), $make->need->minus($make->plain())->larger(Length::zero())], ...$make->steps(...$chosen)];

        return new EnoughPage(
            $case,
            $attempts,
            $chosen,
            need: [] === $chosen ? $make->plain() : $make->amount(...$chosen),
            bar: new GapBar($make->need->minus($make->free)->larger(Length::zero()), $bar),
            laid: [] === $chosen && $make->isEnough(),
            toBuy: array_map(fn (Need $need): CounterOffer => $this->offer($need, $case->cloth, $account), $toBuy),
        );
    }

    private function offer(Need $need, Cloth $cloth, Account $account): CounterOffer
    {
        $settings = $this->settings->load($account);
        $ask = Ask::for($need, $cloth->material->shrinkage()->along, $settings->counter, $settings->assumptions);

        return new CounterOffer($ask, null === $cloth->purchase->pricePerMetre ? null : $ask->cost($cloth->purchase->pricePerMetre));
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
