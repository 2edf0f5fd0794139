<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Suit;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Project;

/** What speaks against the main cloth of a project, by the rules of Match: any refusal and the heaviest doubts. Source: docs/rules.md. */
final readonly class ClothDoubts
{
    private const SAID = 2;

    /**
     * @param array<string, string> $overruled as Overrule::reasons() gives them: what was overruled is said no more
     *
     * @return list<Sentence>
     */
    public function find(Project $project, Sewist $sewist, array $overruled): array
    {
        [$pattern, $version] = [$project->current->pattern, $project->current->version];
        if (null === $pattern || null === $version) {
            return [];
        }
        $asks = Asks::of(
            $pattern,
            $version,
            $project->brief->person,
            $sewist->forDays($project->season->days()),
            $project->largestSize(),
        );
        $suit = new Suit();
        $weight = static fn (Reason $one): array => [Tenor::Refusal !== $one->tenor, $one->points];
        $said = [];
        foreach ($project->current->claims as $claim) {
            if (null === $claim->cloth || $claim->cutOut || !$claim->isFor(Role::Main, [])
                || isset($overruled[Overrule::key($claim->cloth->id, $version->id)])) {
                continue;
            }
            $reasons = $suit->judge(Traits::of($claim->cloth, Making::DEAR), $asks)->withTenor(Tenor::Refusal, Tenor::Doubt);
            usort($reasons, static fn (Reason $a, Reason $b): int => $weight($a) <=> $weight($b));
            $said = [...$said, ...array_map(static fn (Reason $one): Sentence => $one->whole(), \array_slice($reasons, 0, self::SAID))];
        }

        return $said;
    }
}
