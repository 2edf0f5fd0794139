<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\PieceAssigner;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Offers;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Strip\PieceDrawing;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Each piece its cloth: press pieces, then a cloth. */
#[Route('/project/{id}/pieces', requirements: ['id' => Requirement::ULID])]
final class PieceClothController extends AbstractController
{
    /** Pixels for the longest piece. */
    private const TALLEST = 150;

    public function __construct(
        private readonly ProjectFinder $mine,
        private readonly ProjectPages $pages,
        private readonly ProjectForm $form,
        private readonly ClaimForm $claims,
        private readonly ProjectStore $store,
        private readonly PlanLoader $plan,
        private readonly PlanChecker $checker,
        private readonly Stash $stash,
    ) {
    }

    #[Route('', name: 'project_pieces', methods: ['GET', 'POST'])]
    public function page(
        string $id,
        Request $request,
        Entry $entry,
        Toast $toast,
        #[CurrentUser] Account $account,
    ): Response {
        [$record, $project] = $this->mine->project($account, $id);
        [$option, $way] = $this->way($record, $project, $request);
        $choices = $this->form->choices($account);
        $here = $this->generateUrl('project_pieces', ['id' => $id] + (null === $option ? [] : ['option' => $option->id]));
        if ($request->isMethod('POST')) {
            $names = $this->asked($request);
            $to = $this->target($entry, $way, $choices, $account);
            if ([] === $names) {
                $entry->fault('pieces', new Sentence('Press the pieces first, then the cloth they come from.'));
            }
            if ((int) $entry->raw('revision') !== ($option ?? $record)->revision) {
                $toast->say('{project} was changed elsewhere meanwhile: look at it, and press again.', ['project' => $project->name]);

                return $this->redirect($here);
            }
            if ($entry->isSound() && null !== $to) {
                $pieces = array_map(static fn (array $one): Piece => $one[0], $way->pieces());
                $claims = (new PieceAssigner($pieces))->assign($way->current->claims, $names, $to);
                $this->save($record, $option, $project, way: $way, claims: $claims, here: $here, account: $account);

                return $this->redirect($here);
            }
        }
        $projects = $this->plan->projects($account);

        return $this->render(
            'project/pieces.html.twig',
            [
                'project' => $way,
                'option' => $option,
                'roles' => $this->pages->roles($project, $way, $projects, $account),
                'revision' => ($option ?? $record)->revision,
                'pieces' => $this->drawn($way),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @return array{?OptionRecord, Project} the option that is asked for and what it would make of the project; none is what leads */
    private function way(ProjectRecord $record, Project $project, Request $request): array
    {
        $id = $request->query->getString('option');
        if ('' === $id) {
            return [null, $project];
        }
        foreach ($project->openOptions() as $option) {
            if ($option->id === $id) {
                return [$this->mine->option($record, $id), $project->made($option)];
            }
        }
        throw $this->createNotFoundException();
    }

    /** @param list<Claim> $claims */
    private function save(
        ProjectRecord $record,
        ?OptionRecord $option,
        Project $project,
        Project $way,
        array $claims,
        string $here,
        Account $account,
    ): void {
        $made = $way->current->claiming($claims);
        null === $option
            ? $this->store->save($project->made($made), $record, $account, $here)
            : $this->store->saveOption($made, $record, $option, $account, $here);
    }

    /** The cuts from which the pieces that are pressed could come. */
    #[Route('/offers', name: 'project_pieces_offers', defaults: ['_reads' => true], methods: ['POST'])]
    public function offers(string $id, Request $request, Settings $settings, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        [, $way] = $this->way($record, $project, $request);
        $pieces = array_column(array_intersect_key($way->pieces(), array_flip($this->asked($request))), 0);
        $promised = array_map(
            static fn (array $promises): Length => Reservation::total($promises),
            $this->checker->promises($account),
        );

        $names = array_map(static fn (Piece $piece): string => $piece->name, $pieces);
        $claim = new Claim('', $pieces[0]->role ?? Role::Main, pieces: $names);

        return $this->render('project/_offers.html.twig', [
            'pieces' => $pieces,
            'offers' => (new Offers($settings->assumptions))->find(
                $pieces,
                $way->largestSize(),
                $this->stash->all($account),
                promised: $promised,
                onlyFor: $way->current->pattern?->makes->onlyFor,
                wanted: $way->wanted($claim),
            ),
        ]);
    }

    /** @return list<string> names of pieces */
    private function asked(Request $request): array
    {
        return array_values(array_filter($request->request->all('pieces'), is_string(...)));
    }

    /** What the pieces go to: a claim that is there, a cut that is offered or typed, or something to buy. */
    private function target(Entry $entry, Project $project, Choices $choices, Account $account): ?Claim
    {
        [$kind, $subject] = explode(' ', $entry->raw('to').' ', 2);
        $subject = trim($subject);
        if ('claim' === $kind) {
            return array_values(array_filter($project->current->claims, static fn (Claim $claim): bool => $claim->id === $subject))[0]
                ?? throw $this->createNotFoundException();
        }
        if ('cut' === $kind) {
            [$cloth, $cut] = $this->stash->cut($account, $subject) ?? throw $this->createNotFoundException();

            return new Claim('', Role::Main, $cloth, $cut);
        }
        if ('buy' === $kind || ('' === $entry->raw('cut') && '' !== $entry->raw('buy'))) {
            $name = $entry->name('buy');

            return '' === $name ? null : new Claim('', Role::Main, wish: new Wish($name, FibreMix::unknown()));
        }
        [$cloth, $cut] = $this->claims->cut($entry, 'cut', $choices->cuts);
        if (null === $cut && '' === $entry->raw('cut')) {
            $entry->fault('cut', new Sentence('Which cloth? Press one of those shown, or type a part of its name.'));
        }

        return null === $cut ? null : new Claim('', Role::Main, $cloth, $cut);
    }

    /** @return list<PieceCloth> */
    private function drawn(Project $project): array
    {
        $pieces = $project->pieces();
        $size = $project->largestSize();
        $tallest = 1.0;
        foreach ($pieces as [$piece]) {
            $tallest = max($tallest, $piece->in($size)?->cutOut($piece->onFold)->length() ?? 0);
        }
        $drawn = [];
        foreach ($pieces as [$piece, $part]) {
            $shape = $piece->in($size);
            if (null !== $shape) {
                $drawing = PieceDrawing::of($piece, [$shape], self::TALLEST / $tallest);
                $drawn[] = new PieceCloth($drawing, $this->claim($project, $piece), $part);
            }
        }

        return $drawn;
    }

    /** By the piece's name, or else by its role. */
    private function claim(Project $project, Piece $piece): ?Claim
    {
        $whole = null;
        foreach ($project->current->claims as $claim) {
            if (\in_array($piece->name, $claim->pieces, true)) {
                return $claim;
            }
            $whole = [] === $claim->pieces && $claim->role === $piece->role ? $whole ?? $claim : $whole;
        }

        return $whole;
    }
}
