<?php

declare(strict_types=1);

namespace Octavum\Room\People;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Pattern\Pattern;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Person\People;
use Octavum\Store\Person\PersonRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Those who are sewn for: their measurements by day, and which size of each pattern they take. */
#[Route('/people')]
final class PeopleController extends AbstractController
{
    private const TALLEST = '2.6';

    public function __construct(
        private readonly People $people,
        private readonly AccountSettings $settings,
        private readonly ClockInterface $clock,
        private readonly ChangeLog $changes,
        private readonly AboutForm $about,
    ) {
    }

    #[Route('', name: 'people', methods: ['GET', 'POST'])]
    public function list(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        if ($request->isMethod('POST')) {
            $name = $entry->name('name');
            if ($entry->isSound()) {
                $record = new PersonRecord($account);
                $record->name = $name;
                $record->child = $entry->boolean('child');
                $notice = new Notice('{person} is among the people.', ['person' => $name], $this->generateUrl('people'));
                $this->changes->commit([], static fn (): array => [$record], $notice);

                return $this->redirectToRoute('person', ['id' => $record->id]);
            }
        }

        return $this->render(
            'people/list.html.twig',
            [
                'people' => $this->people->all($account),
                'points' => [BodyPoint::Bust, BodyPoint::Waist, BodyPoint::Hip, BodyPoint::Height],
                'today' => $this->clock->now(),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    #[Route('/{id}', name: 'person', methods: ['GET', 'POST'])]
    public function show(
        #[Mine] PersonRecord $record,
        Request $request,
        Library $library,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $person = $this->people->person($record);
        if ($request->isMethod('POST')) {
            $measured = $this->measured($entry, $account);
            Revision::check($entry, $record->revision, $this->values($person, $request->query->getString('on')));
            if ($entry->isSound() && null !== $measured) {
                $kept = array_filter(
                    $person->measured,
                    static fn (Measured $other): bool => !\in_array(
                        $other->on->format('Y-m-d'),
                        [$measured->on->format('Y-m-d'), $entry->raw('was')],
                        true,
                    ),
                );

                return $this->change(
                    $record,
                    $person->measuredAs([...array_values($kept), $measured]),
                    'The measurements of {person} are written down.',
                );
            }
        }

        return $this->page($record, $request, $library, account: $account, entry: $entry, about: new Entry([]));
    }

    /** With what was typed into the form of a day's measurements, and into the form about the person. */
    private function page(PersonRecord $record, Request $request, Library $library, Account $account, Entry $entry, Entry $about): Response
    {
        $person = $this->people->person($record);
        $charted = $library->charted($account);
        $advice = array_map(
            fn (Pattern $pattern): array => [
                'pattern' => $pattern,
                'advice' => (new SizeChooser())->choose($person, $pattern, $this->clock->now()),
            ],
            $charted,
        );
        usort(
            $advice,
            static fn (array $a, array $b): int => [null === $a['advice']->size, mb_strtolower($a['pattern']->title)] <=> [
                null === $b['advice']->size,
                mb_strtolower($b['pattern']->title),
            ],
        );

        return $this->render(
            'people/show.html.twig',
            [
                'person' => $person,
                'record' => $record,
                'points' => BodyPoint::cases(),
                'shown' => array_values(
                    array_filter(BodyPoint::cases(), static fn (BodyPoint $point): bool => null !== $person->at($point)),
                ),
                'values' => $entry->typed + $this->values($person, $request->query->getString('on')),
                'faults' => $entry->faults(),
                'about' => [] === $about->typed ? $this->about->values($person) : $about->typed,
                'aboutFaults' => $about->faults(),
                'advice' => $advice,
                'without' => array_diff_key($library->titles($account), array_column($charted, 'title', 'id')),
                'today' => $this->clock->now(),
            ],
            new Response(status: max($entry->status(), $about->status())),
        );
    }

    #[Route('/{id}/edit', name: 'person_edit', methods: ['POST'])]
    public function edit(
        #[Mine] PersonRecord $record,
        Request $request,
        Library $library,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $person = $this->people->person($record);
        $now = $this->about->values($person);
        $entry = Revision::merge($entry, $record->revision, $now);
        $changed = $this->about->read($entry, $person, $account);
        Revision::check($entry, $record->revision, $now);

        return $entry->isSound()
            ? $this->change($record, $changed, '{person} is saved.')
            : $this->page($record, $request, $library, account: $account, entry: new Entry([]), about: $entry);
    }

    #[Route('/{id}/day/remove', name: 'person_day_remove', methods: ['POST'])]
    public function removeDay(#[Mine] PersonRecord $record, Request $request): Response
    {
        $person = $this->people->person($record);
        $day = $request->request->getString('on');

        return $this->change(
            $record,
            $person->measuredAs(array_values(
                array_filter($person->measured, static fn (Measured $measured): bool => $measured->on->format('Y-m-d') !== $day),
            )),
            'A day’s measurements of {person} are taken out.',
        );
    }

    #[Route('/{id}/remove', name: 'person_remove', methods: ['POST'])]
    public function remove(#[Mine] PersonRecord $record): Response
    {
        $here = $this->generateUrl('person', ['id' => $record->id]);
        $notice = new Notice('{person} is removed; their projects stay.', ['person' => $record->name], $here);
        $this->changes->remove($record, $notice);

        return $this->redirectToRoute('people');
    }

    private function change(PersonRecord $record, Person $person, string $says): Response
    {
        $here = $this->generateUrl('person', ['id' => $record->id]);
        $notice = new Notice($says, ['person' => $person->name], $here);
        $this->changes->commit([$record], fn () => $this->people->store($person, $record), $notice);

        return $this->redirect($here);
    }

    /** What was typed for one day; null with a fault when nothing was. */
    private function measured(Entry $entry, Account $account): ?Measured
    {
        $today = $this->clock->now()->setTime(0, 0);
        $on = $entry->date('on', past: true) ?? $today;
        if ($on > $today) {
            $entry->fault('on', new Sentence('That day is still to come: type the day on which the tape was held.'));
        }
        $points = [];
        foreach (BodyPoint::cases() as $point) {
            $field = 'points.'.$point->value;
            $length = $entry->length($field, $this->settings->load($account)->system->widthUnit());
            if (null !== $length && Length::of(self::TALLEST, Unit::Metre)->isLessThan($length)) {
                $entry->fault(
                    $field,
                    new Sentence('“{text}” is longer than a person is tall: is the unit right?', ['text' => $entry->raw($field)]),
                );
            }
            if (null !== $length) {
                $points[$point->value] = $length;
            }
        }
        if ([] === $points && $entry->isSound()) {
            $entry->fault(
                'points.'.BodyPoint::Bust->value,
                new Sentence('Nothing is measured yet: type one figure at least, such as the bust and the hip.'),
            );
        }

        return [] === $points ? null : new Measured($on, $points);
    }

    /** @return array<string, mixed> the figures of a day that is changed, or empty fields for today */
    private function values(Person $person, string $day): array
    {
        $tape = $this->settings->tape();
        foreach ($person->measured as $measured) {
            if ($measured->on->format('Y-m-d') === $day) {
                return [
                    'on' => $day,
                    'was' => $day,
                    'points' => array_map(static fn (Length $length): string => $tape->typed($length, small: true), $measured->points),
                ];
            }
        }

        return ['on' => $this->clock->now()->format('Y-m-d'), 'was' => '', 'points' => []];
    }
}
