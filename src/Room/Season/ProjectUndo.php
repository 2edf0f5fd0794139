<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Page\Toast;
use Octavum\Store\OptionRecord;
use Octavum\Store\ProjectRecord;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** A saved project or option as its form showed it before, kept so that saving it can be taken back. */
final readonly class ProjectUndo
{
    public function __construct(private RequestStack $requests, private Toast $toast, private UrlGeneratorInterface $urls)
    {
    }

    /** @param ?array<string, mixed> $before what the form showed; null for a new project */
    public function offer(ProjectRecord $saved, ?array $before): void
    {
        $this->requests->getSession()->set($this->key($saved), ['revision' => $saved->revision, 'values' => $before]);
        $this->toast->say(
            '{project} is saved.',
            ['project' => $saved->name],
            $this->urls->generate(null === $before ? 'project_remove' : 'project_undo', ['id' => $saved->id]),
        );
    }

    /** @param ?array<string, mixed> $before what the form of the option showed; null for a new one */
    public function offerOption(OptionRecord $saved, ?array $before): void
    {
        $this->requests->getSession()->set($this->key($saved), ['revision' => $saved->revision, 'values' => $before]);
        $this->toast->say(
            'The option of {project} is saved.',
            ['project' => $saved->project->name],
            $this->urls->generate(null === $before ? 'option_remove' : 'option_undo', [
                'id' => $saved->project->id,
                'option' => $saved->id,
            ]),
        );
    }

    /** @return ?array<string, mixed> what its form showed; null when it was changed since */
    public function take(ProjectRecord|OptionRecord $record): ?array
    {
        /** @var array{revision: int, values: array<string, mixed>}|null $before */
        $before = $this->requests->getSession()->remove($this->key($record));

        return null !== $before && $before['revision'] === $record->revision ? $before['values'] : null;
    }

    private function key(ProjectRecord|OptionRecord $record): string
    {
        return 'project-before-'.$record->id;
    }
}
