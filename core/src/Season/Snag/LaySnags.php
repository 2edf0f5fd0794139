<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** A saved lay that does not count any more, and why; of one that counts, what nobody measured and what it leaves to other cloth. */
final readonly class LaySnags
{
    public function __construct(private Assumptions $assumptions)
    {
    }

    /** @return list<Snag> */
    public function find(Project $project, Claim $claim): array
    {
        $lay = $claim->lay;
        $why = $project->layStale($claim, $this->assumptions);
        if (null === $lay || null === $why) {
            return null === $lay ? [] : [...$this->unmeasured($project, $claim), ...$this->elsewhere($project, $claim, $lay)];
        }
        if (!$lay->isGeneric($project->asked($claim, $this->assumptions)) || null === $project->current->pattern) {
            $sentence = new Sentence('The saved lay of {project} does not count any more: {why}.', [
                'project' => $project->name,
                'why' => $why,
            ]);

            return [new Snag(Severity::Tight, $sentence, Action::LayAgain, $lay->id)];
        }
        $sentence = new Sentence(
            'The saved lay of {project} is of generic pieces, so it only guesses: enter the pieces of {pattern}, and lay them.',
            ['project' => $project->name, 'pattern' => $project->current->pattern->title],
        );

        return [new Snag(Severity::Note, $sentence, Action::EnterPieces, $project->current->version->id ?? $project->current->pattern->id)];
    }

    /** @return list<Snag> one where the lay is of pieces in the proportions in which they were offered */
    private function unmeasured(Project $project, Claim $claim): array
    {
        $version = $project->cutting($claim)?->version;
        $usual = array_filter(
            $version?->pieces->in($project->largestSize(), $claim->role) ?? [],
            static fn (Piece $piece): bool => $piece->isUsual(),
        );

        return null === $version || [] === $usual ? [] : [new Snag(
            Severity::Tight,
            new Sentence('{project}: not measured on the paper: {pieces}. The lay is a guess from usual proportions.', [
                'project' => $project->name,
                'pieces' => implode(', ', array_map(static fn (Piece $piece): string => $piece->name, $usual)),
            ]),
            Action::EnterPieces,
            $version->id,
        )];
    }

    /** @return list<Snag> one where pieces are left off a lay that holds */
    private function elsewhere(Project $project, Claim $claim, SavedLay $lay): array
    {
        $garment = $lay->garmentOf($project->id, $claim->role, $project->largestSize(), $claim->pieces);
        $chosen = array_merge(...array_map(static fn (Claim $other): array => $other->pieces, $project->current->claims));
        $without = null === $garment ? [] : array_values(array_diff($lay->without($garment), $chosen));

        return [] === $without ? [] : [new Snag(
            Severity::Note,
            new Sentence('{project}: {pieces} are not in its lay. Bind those edges, or choose the cloth they come from.', [
                'project' => $project->name,
                'pieces' => implode(', ', $without),
            ]),
            Action::ChooseInProject,
            $project->id,
        )];
    }
}
