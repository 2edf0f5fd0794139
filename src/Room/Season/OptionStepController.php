<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Season\Decision;
use Octavum\Core\Season\Option;
use Octavum\Core\Season\Project;
use Octavum\Document\DecisionCodec;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Removal;
use Octavum\Store\TakeBack;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a button does to an option: it is taken, let go, brought back, or taken out. Each can be undone. */
#[Route('/project/{id}/option/{option}', requirements: ['id' => Requirement::ULID, 'option' => Requirement::ULID])]
final class OptionStepController extends AbstractController
{
    public function __construct(
        private readonly MyProject $mine,
        private readonly AccountSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly TakeBack $takeBack,
        private readonly Removal $removal,
        private readonly Toast $toast,
        private readonly SentenceWriter $sentences,
    ) {
    }

    /** It leads from now on; the others go into the history, unless they are to stay open. */
    #[Route('/take', name: 'option_take', methods: ['POST'])]
    public function take(string $id, string $option, Request $request, ClockInterface $clock, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option);
        $entry = new Entry($request->request->all());
        Revision::check($entry, $record->revision);
        if (!$entry->isSound()) {
            $this->toast->say('{project} was changed since this page was opened: look at it again, then take one.', [
                'project' => $record->name,
            ]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }
        $touched = [$record, ...$record->options];
        $before = $this->takeBack->state($touched);
        $decision = new Decision(
            $clock->now(),
            $this->called($project, $option),
            $this->called($project, null),
            $entry->text('reason', 500),
        );
        $record->current = $stored;
        $stored->hangsOn = '';
        $stored->past = false;
        $record->decisions = [...$record->decisions, ...(new DecisionCodec())->write([$decision])];
        foreach ($entry->boolean('keep') ? [] : $record->others() as $other) {
            $other->past = true;
        }
        $this->entities->flush();

        return $this->said($id, '{option} leads {project} now.', $before, $touched, [
            'project' => $record->name,
            'option' => $decision->took,
        ]);
    }

    #[Route('/let-go', name: 'option_let_go', methods: ['POST'])]
    public function letGo(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        return $this->put($account, $id, $option, true, '{option} of {project} is let go; it stays in the history.');
    }

    #[Route('/back', name: 'option_back', methods: ['POST'])]
    public function back(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [, $project] = $this->mine->project($account, $id);
        if (\count($project->openOptions()) + 1 >= Option::MOST) {
            $this->toast->say('{project} has as many options as can be kept apart: let one go first.', ['project' => $project->name]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }

        return $this->put($account, $id, $option, false, '{option} of {project} might be taken again.');
    }

    #[Route('/remove', name: 'option_remove', methods: ['POST'])]
    public function remove(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->mine->project($account, $id);
        $this->removal->out(
            $this->mine->option($record, $option),
            'An option of {project} is taken out.',
            ['project' => $record->name],
            $this->generateUrl('option_restore', ['id' => $id, 'option' => $option]),
        );

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    #[Route('/restore', name: 'option_restore', methods: ['POST'])]
    public function restore(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option, removed: true);
        $this->removal->back($stored, 'The option of {project} is back.', ['project' => $record->name]);

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    private function put(Account $account, string $id, string $option, bool $past, string $message): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option);
        $before = $this->takeBack->state([$stored]);
        $stored->past = $past;
        $this->entities->flush();

        return $this->said($id, $message, $before, [$stored], [
            'project' => $record->name,
            'option' => $this->called($project, $option),
        ]);
    }

    /**
     * @param array<string, array<string, mixed>> $before
     * @param list<object>                        $touched
     * @param array<string, string>               $with
     */
    private function said(string $id, string $message, array $before, array $touched, array $with): Response
    {
        $this->toast->say(
            $message,
            $with,
            $this->generateUrl('undo', [
                'key' => $this->takeBack->keep($before, $touched),
                'back' => $this->generateUrl('project', ['id' => $id]),
            ]),
        );

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    /** As it stands in the history. */
    private function called(Project $project, ?string $option): string
    {
        foreach ($project->others as $one) {
            if ($one->id === $option) {
                return $this->sentences->write($one->sentence(), $this->settings->tape());
            }
        }

        return $this->sentences->write($project->current->sentence(), $this->settings->tape());
    }
}
