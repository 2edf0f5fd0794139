<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Sewing\EnvelopeFactor;
use Octavum\Files\FileShelf;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Person\People;
use Octavum\Store\Plan\PlanQuery;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** Makes the page of a pattern. */
final readonly class PatternPresenter
{
    public function __construct(
        private PatternMapper $mapper,
        private People $people,
        private PlanQuery $planQuery,
        private FileShelf $shelf,
        private ClockInterface $clock,
        private Environment $twig,
    ) {
    }

    /** @param ?Sentence $fault of a file that could not be kept */
    public function show(PatternRecord $record, ?Sentence $fault = null): Response
    {
        $account = $record->account;
        $pattern = $this->mapper->pattern($record);
        $people = $this->people->all($account);
        $advise = fn (Person $person): SizeAdvice => (new SizeChooser())->choose($person, $pattern, $this->clock->now());

        return new Response(
            $this->twig->render('pattern/show.html.twig', [
                'pattern' => $pattern,
                'advice' => $pattern->chart->hasRows() ? array_map($advise, array_values($people)) : [],
                'files' => $this->shelf->these($account, $pattern->keeping->files),
                'fault' => $fault,
                'people' => $people,
                'history' => $this->planQuery->ofPattern($account, $record->id),
                'factors' => $this->factors($pattern, $account),
            ]),
            null === $fault ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        );
    }

    /** @return array{pattern: ?EnvelopeFactor, maker: ?EnvelopeFactor} what was used of what its envelope asks for, and its maker's */
    private function factors(Pattern $pattern, Account $account): array
    {
        $cuts = $this->planQuery->envelopes($account, $pattern->label->maker, $pattern->id);

        return [
            'pattern' => EnvelopeFactor::of($cuts[$pattern->id] ?? []),
            'maker' => '' === $pattern->label->maker ? null : EnvelopeFactor::of(array_merge([], ...array_values($cuts))),
        ];
    }
}
