<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** What several of a project take when they are laid together, beside what the envelope asks for them one by one. */
final readonly class LaidTogether
{
    public function __construct(private Estimator $estimator)
    {
    }

    /** @return ?Sentence null where nothing is sewn together, or not all of it is laid */
    public function compare(ProjectAnswer $answer): ?Sentence
    {
        if ([] === $answer->project->current->copies) {
            return null;
        }
        $together = $alone = Length::zero();
        foreach ($answer->roles as $role) {
            $need = $role->need;
            if (null === $role->line || null === $role->toCut || !$need instanceof Need || NeedSource::LaidOut !== $need->way) {
                return null;
            }
            $cloth = $role->claim->cloth ?? throw new \LogicException('A cut is of a cloth.');
            $table = $this->estimator->estimate($role->line->wanted($role->claim), CuttingCloth::cut($cloth, $role->toCut));
            if (!$table instanceof Need) {
                return null;
            }
            $together = $together->plus($need->amount);
            $alone = $alone->plus($table->amount);
        }
        $with = ['together' => Figure::needed($together), 'alone' => Figure::needed($alone)];

        return $together->isLessThan($alone)
            ? new Sentence('Laid together they take {together}; one by one the envelope asks {alone}: {less} less.', $with + [
                'less' => Figure::owned($alone->minus($together)),
            ])
            : new Sentence('Laid together they take {together}; one by one the envelope asks {alone}.', $with);
    }
}
