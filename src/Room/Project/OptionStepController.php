<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Project\Decision;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Document\Codec\DecisionCodec;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a button does to an option: it is taken, let go, brought back, or taken out. Each can be undone. */
#[Route('/project/{id}/option/{option}', requirements: ['id' => Requirement::ULID, 'option' => Requirement::ULID])]
final class OptionStepController extends AbstractController
{
    public function __construct(
        private readonly ProjectFinder $mine,
        private readonly AccountSettings $settings,
        private readonly ChangeLog $changes,
        private readonly Toast $toast,
        private readonly SentenceWriter $sentences,
    ) {
    }

    /** It leads from now on; the others go into the history, unless they are to stay open. */
    #[Route('/take', name: 'option_take', methods: ['POST'])]
    public function take(
        string $id,
        string $option,
        ClockInterface $clock,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        [$record, $project] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option);
        Revision::check($entry, $record->revision);
        if (!$entry->isSound()) {
            $this->toast->say('{project} was changed since this page was opened: look at it again, then take one.', [
                'project' => $record->name,
            ]);

            return $this->redirectToRoute('project', ['id' => $id, 'part' => 'cloth']);
        }
        $decision = new Decision(
            $clock->now(),
            $this->called($project, $option),
            $this->called($project, null),
            $entry->text('reason', 500),
        );
        $keep = $entry->boolean('keep');
        $make = static function () use ($record, $stored, $decision, $keep): void {
            $record->current = $stored;
            $stored->hangsOn = '';
            $stored->past = false;
            $record->decisions = [...$record->decisions, ...(new DecisionCodec())->write([$decision])];
            foreach ($keep ? [] : $record->others() as $other) {
                $other->past = true;
            }
        };

        return $this->commit($id, [$record, ...$record->options], $make, '{option} is the current choice for {project} now.', [
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

            return $this->redirectToRoute('project', ['id' => $id, 'part' => 'cloth']);
        }

        return $this->put($account, $id, $option, false, '{option} of {project} might be taken again.');
    }

    #[Route('/remove', name: 'option_remove', methods: ['POST'])]
    public function remove(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->mine->project($account, $id);
        $here = $this->generateUrl('project', ['id' => $id, 'part' => 'cloth']);
        $notice = new Notice('An option of {project} is taken out.', ['project' => $record->name], $here);
        $this->changes->remove($this->mine->option($record, $option), $notice);

        return $this->redirect($here);
    }

    private function put(Account $account, string $id, string $option, bool $past, string $message): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option);
        $make = static function () use ($stored, $past): void {
            $stored->past = $past;
        };

        return $this->commit($id, [$stored], $make, $message, [
            'project' => $record->name,
            'option' => $this->called($project, $option),
        ]);
    }

    /**
     * @param list<object>          $touched
     * @param array<string, string> $with
     */
    private function commit(string $id, array $touched, \Closure $make, string $message, array $with): Response
    {
        $here = $this->generateUrl('project', ['id' => $id, 'part' => 'cloth']);
        $this->changes->commit($touched, $make, new Notice($message, $with, $here));

        return $this->redirect($here);
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
