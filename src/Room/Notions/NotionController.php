<?php

declare(strict_types=1);

namespace Octavum\Room\Notions;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\Allotment;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Notion\NotionReader;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Notion\NotionRecord;
use Octavum\Store\Notion\NotionStore;
use Octavum\Store\Plan\PlanWriter;
use Octavum\Store\Project\ProjectRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The tins: buttons, zips, elastic and all that, entered line by line. */
#[Route('/notions')]
final class NotionController extends AbstractController
{
    private const MOST = 200;

    public function __construct(
        private readonly NotionStore $tins,
        private readonly AccountSettings $settings,
        private readonly ClockInterface $clock,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('', name: 'notions', methods: ['GET', 'POST'])]
    public function list(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        if ($request->isMethod('POST')) {
            $read = $this->lines($entry);
            if ($entry->isSound()) {
                $this->tins->put($read, $account);

                return $this->redirectToRoute('notions');
            }
        }
        $order = array_flip(array_column(NotionKind::cases(), 'value'));
        $notions = $this->tins->all($account);
        usort(
            $notions,
            static fn (Notion $a, Notion $b): int => [$order[$a->kind->value], $a->measure->micrometres ?? 0, $a->name] <=> [
                $order[$b->kind->value],
                $b->measure->micrometres ?? 0,
                $b->name,
            ],
        );

        return $this->render(
            'notions/list.html.twig',
            ['notions' => $notions, 'values' => $entry->typed, 'faults' => $entry->faults()],
            new Response(status: $entry->status()),
        );
    }

    /** A project's notions are used: what the tins have of them goes out of them. */
    #[Route('/use/{project}', name: 'notions_use', methods: ['POST'])]
    public function use(#[Mine('project')] ProjectRecord $project, PlanWriter $plan, #[CurrentUser] Account $account): Response
    {
        $touched = [$project, ...$this->tins->records($account)];
        $make = function () use ($account, $project, $plan): void {
            $lines = $plan->takeNotions($project) ?? throw $this->createNotFoundException();
            foreach ((new Allotment($this->tins->all($account)))->without($lines) as $notion) {
                $record = $this->tins->oneOf($account, $notion->id) ?? throw $this->createNotFoundException();
                $this->tins->store($notion, $record);
                $record->removedAt = $notion->kind->goesByLength() && null === $notion->length ? $this->clock->now() : null;
            }
        };
        $back = $this->generateUrl('shopping').'#notions';
        $this->changes->commit($touched, $make, new Notice('Its notions are taken.', [], $back), ['count', 'length']);

        return new RedirectResponse($back);
    }

    #[Route('/{id}', name: 'notion', methods: ['GET', 'POST'])]
    public function edit(#[Mine] NotionRecord $record, Request $request, Entry $entry, Settings $settings): Response
    {
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $record->revision, $this->values($record));
            $system = $settings->system;
            $kind = $entry->choice('kind', NotionKind::class) ?? NotionKind::Other;
            $notion = new Notion(
                $record->id,
                $kind,
                $entry->length('measure', $system->widthUnit()),
                count: $entry->integer('count', 0, 10_000),
                length: $entry->length('length', $system->widthUnit()),
                name: $entry->text('name', 120),
                place: $entry->text('place', 120),
                notes: $entry->text('notes'),
                expected: $entry->date('expected'),
            );
            Revision::check($entry, $record->revision, $this->values($record));
            if ($entry->isSound()) {
                $here = $this->generateUrl('notions');
                $make = fn () => $this->tins->store($notion, $record);
                $this->changes->commit([$record], $make, new Notice('The notion is saved.', [], $here));

                return $this->redirect($here);
            }
        }

        return $this->render(
            'notions/form.html.twig',
            ['record' => $record, 'faults' => $entry->faults(), 'values' => $entry->typed + $this->values($record)],
            new Response(status: $entry->status()),
        );
    }

    /** @return array<string, string> */
    private function values(NotionRecord $record): array
    {
        $tape = $this->settings->tape();
        $notion = $this->tins->notion($record);

        return [
            'kind' => $notion->kind->value,
            'measure' => null === $notion->measure ? '' : $tape->typed($notion->measure, small: true),
            'count' => (string) $notion->count,
            'length' => null === $notion->length ? '' : $tape->typed($notion->length),
            'expected' => $this->settings->day($notion->expected),
            'name' => $notion->name,
            'place' => $notion->place,
            'notes' => $notion->notes,
        ];
    }

    #[Route('/{id}/remove', name: 'notion_remove', methods: ['POST'])]
    public function remove(#[Mine] NotionRecord $record): Response
    {
        $this->changes->remove($record, new Notice('The notion is taken out.', [], $this->generateUrl('notions')));

        return $this->redirectToRoute('notions');
    }

    /** @return list<Notion> */
    private function lines(Entry $entry): array
    {
        $lines = Entry::lines($entry->text('lines'));
        if ([] === $lines || \count($lines) > self::MOST) {
            $entry->fault(
                'lines',
                [] === $lines
                    ? new Sentence('Nothing is typed yet: a line such as “7 shell buttons 11 mm, tin 2”.')
                    : new Sentence('{count} lines are more than the {most} that are read in one go. Everything typed is kept.', [
                        'count' => \count($lines),
                        'most' => self::MOST,
                    ]),
            );
        }

        return array_map(static function (string $line): Notion {
            $read = (new NotionReader())->read($line, withPlace: true);

            return new Notion(
                '',
                $read->kind,
                $read->measure,
                count: $read->count ?? ($read->kind->goesByLength() ? null : 1),
                length: $read->length,
                name: mb_substr($read->name, 0, 120),
                place: mb_substr($read->place, 0, 120),
                notes: mb_strlen($line) > 120 ? $line : '',
            );
        }, $lines);
    }
}
