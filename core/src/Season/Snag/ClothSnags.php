<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Rule\StretchRule;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** What is to be said of a cut for a project besides its length: whether it is here, washed, and fit for the pattern at all. */
final readonly class ClothSnags
{
    /** @param array<string, string> $overruled as Overrule::reasons() gives them */
    public function __construct(private Assumptions $assumptions, private array $overruled = [])
    {
    }

    /** @return list<Snag> */
    public function find(Project $project, Claim $claim, Cloth $cloth, Cut $cut): array
    {
        return [
            ...$this->here($project, $cloth, $cut),
            ...$this->washed($cloth, $cut),
            ...$this->suits($project, $claim, $cloth),
            ...$this->direction($cloth),
        ];
    }

    /** @return list<Snag> what is to be done with a cloth before any of it is cut, whatever it is cut for */
    public function prepare(Cloth $cloth): array
    {
        $width = new Sentence('{cloth} has no width yet, so nothing can be laid on it.', ['cloth' => $cloth->name]);
        $snags = null === $cloth->width ? [new Snag(Severity::NotKnown, $width, Action::MeasureWidth, $cloth->id)] : [];
        foreach ($cloth->cuts as $cut) {
            $snags = [...$snags, ...$this->washed($cloth, $cut)];
        }

        return [...$snags, ...$this->direction($cloth)];
    }

    /** @return list<Snag> brushed cloth, until somebody says whether it is one-way */
    private function direction(Cloth $cloth): array
    {
        if (null !== $cloth->look->direction || true !== $cloth->material->type?->isBrushed()) {
            return [];
        }
        $asked = 'Is {cloth} brushed one way? Stroke it both ways, and set its direction: counted as alike both ways until then.';

        return [new Snag(Severity::Note, new Sentence($asked, ['cloth' => $cloth->name]), Action::ChangeCloth, $cloth->id)];
    }

    /** @return list<Snag> */
    private function here(Project $project, Cloth $cloth, Cut $cut): array
    {
        $with = ['cloth' => $cloth->name, 'project' => $project->name];
        if ($cut->gone) {
            return [
                new Snag(
                    Severity::Short,
                    new Sentence('The cut of {cloth} for {project} is no longer here.', $with),
                    Action::ChooseInProject,
                    $project->id,
                ),
            ];
        }
        if (CutState::Ordered !== $cut->state) {
            return [];
        }

        return [
            new Snag(
                Severity::Tight,
                null === $cut->expected
                    ? new Sentence('{cloth} for {project} is ordered, and no day is known for it.', $with)
                    : new Sentence('{cloth} for {project} is ordered and expected on {day}.', $with + ['day' => $cut->expected]),
                Action::ShowCloth,
                $cloth->id,
            ),
        ];
    }

    /** @return list<Snag> one while the cut still shrinks, along or across */
    private function washed(Cloth $cloth, Cut $cut): array
    {
        $toCut = ToCut::of($cloth, $cut, $this->assumptions);
        if (
            $cut->gone
            || null === $cut->length
            || CutState::Ordered === $cut->state
            || ($toCut->shrink->isZero() && $toCut->narrow->isZero())
        ) {
            return [];
        }
        $with = ['cloth' => $cloth->name, 'percent' => $toCut->shrink, 'across' => $toCut->narrow];
        $snag = static fn (string $sentence, Action $action, string $subject): array => [
            new Snag(Severity::Note, new Sentence($sentence, $with), $action, $subject),
        ];

        return match (true) {
            $cut->settled => $snag(
                '{cloth} was measured along after its wash, not across: counted {across} narrower until then.',
                Action::MeasureWidth,
                $cloth->id,
            ),
            CareLabel::DryClean === $cloth->material->care && !$cut->washed => $snag(
                '{cloth} is for dry cleaning only: steam it, do not wash it. Counted {percent} shorter until then.',
                Action::MarkSteamed,
                $cut->id,
            ),
            $cut->washed => $snag(
                '{cloth} is washed but not measured again: counted {percent} shorter until then.',
                Action::MeasureLength,
                $cut->id,
            ),
            default => $snag('{cloth} is not washed yet: counted {percent} shorter.', Action::MarkWashed, $cut->id),
        };
    }

    /** @return list<Snag> the hard rules: woven or knit, and stretch, unless they are overruled. Source: docs/rules.md */
    private function suits(Project $project, Claim $claim, Cloth $cloth): array
    {
        $pattern = $project->current->pattern;
        if (
            null === $pattern
            || !\in_array($claim->role, [Role::Main, Role::Ribbing, Role::Contrast, Role::Contrast2, Role::Contrast3], true)
        ) {
            return [];
        }
        $with = ['project' => $project->name, 'pattern' => $pattern->title, 'cloth' => $cloth->name];
        if (isset($this->overruled[Overrule::key($cloth->id, $project->current->version->id ?? '')])) {
            return [];
        }
        $snags = [];
        $only = Role::Ribbing === $claim->role ? null : $pattern->makes->onlyFor;
        if (null !== $only && $only !== $cloth->material->structure) {
            $snags[] = $cloth->material->isStructureKnown()
                ? new Snag(
                    Severity::Short,
                    new Sentence(
                        '{project}: {pattern} is for {only} cloth only, and {cloth} is {structure}.',
                        $with + ['only' => new Sentence($only->value), 'structure' => new Sentence($cloth->material->structure->value)],
                    ),
                    Action::ChooseInProject,
                    $project->id,
                )
                : new Snag(
                    Severity::NotKnown,
                    new Sentence(
                        '{project}: {pattern} is for {only} cloth only. The structure of {cloth} is not set.',
                        $with + ['only' => new Sentence($only->value)],
                    ),
                    Action::ChangeCloth,
                    $cloth->id,
                );
        }
        if (Role::Main === $claim->role) {
            $snags = [...$snags, ...$this->stretches($project, $pattern, $cloth, $with)];
        }

        return $snags;
    }

    /**
     * As the rule of Match judges it.
     *
     * @param array<string, string> $with
     *
     * @return list<Snag>
     */
    private function stretches(Project $project, Pattern $pattern, Cloth $cloth, array $with): array
    {
        $version = $project->current->version ?? $pattern->versions[0] ?? null;
        $least = $pattern->makes->advice->stretch ?? 0;
        $isFelt = null === $cloth->material->feel->across && Structure::NonWoven === $cloth->material->structure;
        $reason = null === $version || $least <= 0 || $isFelt
            ? null
            : (new StretchRule())->judge(Traits::of($cloth, Making::DEAR), Asks::of($pattern, $version));
        if (null !== $reason?->guessedFrom && Tenor::Doubt === $reason->tenor) {
            $guess = new Sentence('{project}: {cloth} may be wrong for {pattern}. {reason}', $with + ['reason' => $reason->whole()]);

            return [new Snag(Severity::NotKnown, $guess, Action::TestStretch, $cloth->id)];
        }
        $with += ['least' => $least, 'stretch' => $cloth->material->feel->across ?? 0];

        return match ($reason?->tenor) {
            Tenor::Refusal => [new Snag(
                Severity::Short,
                new Sentence('{project}: {pattern} wants a stretch of {least} % at least, and {cloth} has {stretch} %.', $with),
                Action::ChooseInProject,
                $project->id,
            )],
            Tenor::Doubt => [new Snag(
                Severity::Tight,
                new Sentence(
                    '{project}: {pattern} wants a stretch of {least} %, and {cloth} has {stretch}: cut its bands from ribbing.',
                    $with,
                ),
                Action::ChooseInProject,
                $project->id,
            )],
            Tenor::Question => [new Snag(
                Severity::NotKnown,
                new Sentence(
                    '{project}: {pattern} needs a stretch of at least {least} %. The stretch of {cloth} is not measured: try 10 cm of it.',
                    $with,
                ),
                Action::TestStretch,
                $cloth->id,
            )],
            default => [],
        };
    }
}
