<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Log\Again;
use Octavum\Core\Project\Log\Chosen;
use Octavum\Core\Project\Log\Fate;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\Fitted;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\StateChange;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Log\Timer;
use Octavum\Core\Project\Log\Wear;
use Octavum\Core\Project\Log\Worn;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** What is sewn of a project. */
final readonly class SewingCodec
{
    public function __construct(private StateCodec $states = new StateCodec())
    {
    }

    public function read(Node $node): Sewing
    {
        if ([] === $node->map()) {
            return new Sewing();
        }
        $node->object(['steps', 'stretches', 'timer', 'states', 'finding', 'worn']);
        $timer = $node->at('timer');

        return new Sewing(
            array_map($this->step(...), $node->at('steps')->items(500)),
            array_map($this->stretch(...), $node->at('stretches')->items()),
            $timer->isThere() ? $this->timer($timer) : null,
            states: array_map($this->entered(...), $node->at('states')->items()),
            finding: $node->at('finding')->isThere() ? $this->finding($node->at('finding')) : null,
            worn: array_map($this->worn(...), $node->at('worn')->items()),
        );
    }

    /** @return array<string, mixed> empty when there is nothing to keep */
    public function write(Sewing $sewing): array
    {
        return Fields::known([
            'steps' => array_map(static fn (Step $step): array => Fields::known([
                'id' => $step->id,
                'name' => $step->name,
                'kind' => $step->kind->value,
                'minutes' => $step->minutes,
                'needs' => array_column($step->needs, 'value'),
                'cloths' => array_column($step->cloths, 'value'),
                'done' => $step->done?->format('Y-m-d'),
                'waits' => $step->waits,
            ]), $sewing->steps),
            'stretches' => array_map(static fn (TimeEntry $stretch): array => Fields::known([
                'on' => $stretch->on->format('Y-m-d'),
                'minutes' => $stretch->minutes,
                'step' => $stretch->step,
            ]), $sewing->stretches),
            'timer' => null === $sewing->timer
                ? null
                : ['step' => $sewing->timer->step, 'since' => $sewing->timer->since->format(\DATE_ATOM)],
            'states' => array_map(static fn (StateChange $entered): array => Fields::known([
                'state' => $entered->state->value,
                'on' => $entered->on->format('Y-m-d'),
                'why' => $entered->why,
            ]), $sewing->states),
            'finding' => null === $sewing->finding ? null : Fields::known([
                'on' => $sewing->finding->on->format('Y-m-d'),
                'fitted' => $sewing->finding->fitted?->value,
                'cloth' => $sewing->finding->cloth?->value,
                'again' => $sewing->finding->again?->value,
                'change' => $sewing->finding->change,
                'note' => $sewing->finding->note,
            ]),
            'worn' => array_map(static fn (Worn $worn): array => Fields::known([
                'on' => $worn->on->format('Y-m-d'),
                'wear' => $worn->wear->value,
                'fate' => $worn->fate->value,
                'note' => $worn->note,
            ]), $sewing->worn),
        ]);
    }

    private function step(Node $node): Step
    {
        $node->object(['id', 'name', 'kind', 'minutes', 'needs', 'cloths', 'done', 'waits']);

        return new Step(
            $node->at('id')->name(40),
            $node->at('name')->name(Step::LONGEST_NAME),
            $node->at('kind')->choice(StepKind::class) ?? StepKind::Sew,
            minutes: $node->at('minutes')->integer(0, Step::MOST_MINUTES),
            needs: $node->at('needs')->choices(NotionKind::class, 20),
            cloths: $node->at('cloths')->choices(Role::class, 20),
            done: $node->at('done')->date(),
            waits: $node->at('waits')->text(200),
        );
    }

    private function stretch(Node $node): TimeEntry
    {
        $node->object(['on', 'minutes', 'step']);

        return new TimeEntry($node->at('on')->requiredDate(), $node->at('minutes')->requiredInteger(0, 1440), $node->at('step')->text(40));
    }

    private function timer(Node $node): ?Timer
    {
        $node->object(['step', 'since']);
        $since = \DateTimeImmutable::createFromFormat(\DATE_ATOM, $node->at('since')->text(40));
        if (false === $since) {
            $node
                ->at('since')
                ->fault('A moment is written such as 2027-03-01T19:30:00+00:00, found {found}.', found: $node->at('since')->found());
        }

        return false === $since ? null : new Timer($node->at('step')->name(40), $since);
    }

    private function entered(Node $node): StateChange
    {
        $node->object(['state', 'on', 'why']);

        return new StateChange($this->states->read($node->at('state')), $node->at('on')->requiredDate(), $node->at('why')->text(300));
    }

    private function finding(Node $node): Finding
    {
        $node->object(['on', 'fitted', 'cloth', 'again', 'change', 'note']);

        return new Finding(
            $node->at('on')->requiredDate(),
            $node->at('fitted')->choice(Fitted::class),
            $node->at('cloth')->choice(Chosen::class),
            again: $node->at('again')->choice(Again::class),
            change: $node->at('change')->text(300),
            note: $node->at('note')->text(2000),
        );
    }

    private function worn(Node $node): Worn
    {
        $node->object(['on', 'wear', 'fate', 'note']);

        return new Worn(
            $node->at('on')->requiredDate(),
            $node->at('wear')->choice(Wear::class) ?? Wear::Sometimes,
            $node->at('fate')->choice(Fate::class) ?? Fate::Kept,
            $node->at('note')->text(300),
        );
    }
}
