<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Project\Project;

/** Notions that are not here, or not enough of them. */
final readonly class NotionSnags
{
    /**
     * @param list<NotionAnswer> $answers
     *
     * @return list<Snag> one for all that is missing
     */
    public function find(Project $project, array $answers): array
    {
        $missing = array_filter($answers, static fn (NotionAnswer $answer): bool => false === $answer->enough);
        $sentence = new Sentence('{project}: not here, or not enough: {notions}.', [
            'project' => $project->name,
            'notions' => implode(', ', array_column($missing, 'text')),
        ]);

        return [] === $missing ? [] : [new Snag(Severity::Note, $sentence, Action::BuyNotions, $project->season->id)];
    }
}
