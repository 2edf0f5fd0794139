<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Project\Cautions;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\SizeFor;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Project\Time\Turn;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\LaidTogether;
use Octavum\Core\Sewing\NextActionFinder;
use Octavum\Core\Sewing\PathFinder;
use Octavum\Core\Sewing\StepDays;
use Octavum\Core\Workroom\Settings;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Strip\SeamDrawing;
use Octavum\Strip\Season\SeasonDrawing;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** What a project comes to, for its page and for the margin of its form. */
final readonly class ProjectPages
{
    public function __construct(
        private PlanChecker $checker,
        private SeasonDrawing $drawing,
        private AccountSettings $settings,
        private ClockInterface $clock,
        private Environment $twig,
        private SeamDrawing $seams,
    ) {
    }

    /**
     * @param list<Project> $projects of all seasons
     * @param ?ProjectPart  $part     null for the one in which it is to be brought on
     */
    public function build(Project $project, array $projects, Account $account, ?ProjectPart $part): ProjectPage
    {
        $settings = $this->settings->load($account);
        $checked = $this->checker->check($account, $project->season, $projects);

        $row = $this->drawing->large($checked, $project->id, $settings);
        $answer = $row->answer ?? new ProjectAnswer(Turn::outside($project, Pace::of($projects)), [], null, snags: []);

        return new ProjectPage(
            $project,
            $head = $this->head($checked, $answer, $settings, $part, $this->checker->doubts($account, $project, $projects)),
            row: $row,
            options: ProjectPart::Cloth === $head->part
                ? $this->drawing->options($this->checker->options($account, $project, $projects), $settings)
                : [],
            advice: $this->advice($project),
            cautions: (new Cautions())->collect($project),
            together: null === $row ? null : (new LaidTogether(new Estimator($settings->assumptions)))->compare($row->answer),
            sewing: new ProjectSewing($answer, $this->seams->draw($answer), (new StepDays())->find($answer)),
        );
    }

    /** @param list<Sentence> $doubts */
    private function head(
        CheckedSeason $checked,
        ProjectAnswer $answer,
        Settings $settings,
        ?ProjectPart $part,
        array $doubts,
    ): ProjectHead {
        $next = new NextActionFinder();
        $leading = $next->leading($answer);
        $state = $answer->project->log->state;
        $isForCloth = $state->isOpen() && (null !== $leading || !$state->isCut());

        return new ProjectHead(
            $part ?? ($isForCloth ? ProjectPart::Cloth : ProjectPart::Sewing),
            null === $leading ? null : $this->drawing->head($checked, $answer, $leading, $settings),
            next: $next->find($answer),
            path: (new PathDrawing())->draw((new PathFinder())->find($answer)),
            doubts: $doubts,
        );
    }

    /**
     * The project as it is typed, in place of itself.
     *
     * @param list<Project> $projects of all seasons
     */
    public function answer(Project $project, array $projects, Account $account): Response
    {
        foreach ($projects as $known) {
            $project = $known->id === $project->id ? $project->keepingLays($known) : $project;
        }
        $others = array_filter($projects, static fn (Project $other): bool => $other->id !== $project->id);
        $checked = $this->checker->check($account, $project->season, [...array_values($others), $project]);
        $row = $this->drawing->one($checked, $project->id, $this->settings->load($account));

        return new Response(
            null === $row
                ? ''
                : $this->twig->render('project/_answer.html.twig', [
                    'row' => $row,
                    'advice' => $this->advice($project),
                    'cautions' => (new Cautions())->collect($project),
                    'doubts' => $this->checker->doubts($account, $project, $projects),
                ]),
        );
    }

    /**
     * An option as it is typed.
     *
     * @param list<Project> $projects of all seasons
     */
    public function option(Project $project, Option $option, array $projects, Account $account): Response
    {
        $with = $project->considering($option);
        $answers = array_values(array_filter(
            $this->checker->options($account, $with, array_map(
                static fn (Project $other): Project => $other->id === $with->id ? $with : $other,
                $projects,
            )),
            static fn (OptionAnswer $answer): bool => $answer->option === $option,
        ));

        return new Response(
            [] === $answers
                ? ''
                : $this->twig->render('project/_option.html.twig', [
                    'card' => $this->drawing->options($answers, $this->settings->load($account))[0],
                ]),
        );
    }

    /**
     * What a project comes to with what leads, or with one of its options.
     *
     * @param Project       $way      itself, or as the option makes it
     * @param list<Project> $projects of all seasons
     *
     * @return list<RoleAnswer>
     */
    public function roles(Project $project, Project $way, array $projects, Account $account): array
    {
        $answers = $way === $project
            ? $this->checker->check($account, $project->season, $projects)->projects
            : array_column($this->checker->options($account, $project, $projects), 'answer');
        foreach ($answers as $answer) {
            if ($answer->project->id === $project->id && $answer->project->current->id === $way->current->id) {
                return $answer->roles;
            }
        }

        return [];
    }

    private function advice(Project $project): ?SizeAdvice
    {
        $chart = $project->current->pattern?->chart;

        $isKnown = true === $chart?->hasRows() || [] !== ($chart->finished ?? []);

        return $isKnown ? (new SizeFor())->advise($project, $this->clock->now()) : null;
    }
}
