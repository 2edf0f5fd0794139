<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Lay\Fold;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\Lays;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Wish;
use Octavum\Document\AlterationCodec;
use Octavum\Store\ClaimRecord;
use Octavum\Store\LayMapper;
use Octavum\Store\LayRecord;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\Stash;
use Octavum\Store\TakeBack;
use Symfony\Component\Clock\ClockInterface;

/**
 * Keeps what makes a cloth enough. Pieces that come from elsewhere are left off a saved lay; what changes their shape is kept as an
 * alteration that saves as much as a lay with it takes less, so that the need afterwards is that of the whole lay.
 */
final readonly class EnoughKeep
{
    /** Seconds for a lay, and for those that follow while it is longer than what was promised. */
    private const SECONDS = [1.5, 4.0, 8.0];

    public function __construct(
        private ProjectRepository $projects,
        private LayMapper $lays,
        private AlterationCodec $alterations,
        private SentenceWriter $sentences,
        private AccountSettings $settings,
        private EntityManagerInterface $entities,
        private TakeBack $takeBack,
        private ProjectMapper $mapper,
        private Stash $stash,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param list<Change> $changes none to keep the lay alone
     *
     * @return string a key to take it back by
     */
    public function keep(EnoughCase $case, array $changes, Account $account): string
    {
        $record = $this->projects->hereOf($account, $case->project->id) ?? throw new \LogicException('It is on the plan.');
        $id = $case->role->claim->id;
        $claims = array_values(array_filter($record->claimsOf(), static fn (ClaimRecord $claim): bool => $claim->id === $id));
        $touched = [$record, ...$claims];
        $before = $this->takeBack->state($touched);
        $off = array_merge(...array_map(static fn (Change $change): array => $change->off, $changes));
        $shaped = array_values(array_filter($changes, static fn (Change $change): bool => [] === $change->off));
        $saves = $case->make->need->minus($case->make->amount(...$changes) ?? $case->make->need);
        if ($case->make->real) {
            [$lay, $saves] = $this->laid($case, $changes, $off, $shaped, $account);
            // taken back, it is thrown away
            $lay->removedAt = $this->clock->now();
            $before += $this->takeBack->state([$lay]);
            $lay->removedAt = null;
            $touched[] = $lay;
            foreach ($claims as $claim) {
                $claim->lay = $lay;
            }
        } else {
            $shaped = $changes;
        }
        if ([] !== $shaped && $saves->micrometres > 0) {
            $tape = $this->settings->tape();
            $names = array_map(fn (Change $change): string => $this->sentences->write($change->words, $tape), $shaped);
            $alteration = new Alteration(mb_substr(implode('; ', $names), 0, 120), $saves->negated(), [$case->role->claim->role]);
            $record->alterations = [...$record->alterations, ...$this->alterations->write([$alteration])];
        }
        foreach ($changes as $change) {
            if (null !== $change->from) {
                $touched[] = $this->claim($case, $change, $change->from, $record, $account);
            }
        }
        ++$record->changes;
        $this->entities->flush();

        return $this->takeBack->keep($before, $touched, ['changes']);
    }

    /** Some pieces from another cut of the cloth, or from more of it. */
    private function claim(EnoughCase $case, Change $change, Elsewhere $from, ProjectRecord $project, Account $account): ClaimRecord
    {
        $cloth = $case->cloth;
        $wish = $from->isToBuy()
            ? new Wish(
                $cloth->name,
                $cloth->fibres,
                $cloth->structure,
                $cloth->isOneWay(),
                $cloth->repeat,
                $cloth->pricePerMetre,
                $cloth->width?->full,
            )
            : null;
        $record = new ClaimRecord($project);
        $this->mapper->storeClaim(new Claim('', $case->role->claim->role, wish: $wish, pieces: $change->pieces), $record);
        $record->cut = null === $wish ? $this->stash->record($account, $from->key) : null;

        return $record;
    }

    /**
     * @param list<Change> $changes
     * @param list<string> $off     pieces that come from elsewhere
     * @param list<Change> $shaped  those of the changes that change the others
     *
     * @return array{LayRecord, Length} the lay without what changes shapes, and what that saves besides
     */
    private function laid(EnoughCase $case, array $changes, array $off, array $shaped, Account $account): array
    {
        $setup = $this->setup($case, $case->pieces(), $off);
        $promised = $case->make->amount(...$changes);
        $left = $case->make->lays->laying->without($off);
        $changed = array_reduce($shaped, static fn (Laying $all, Change $change): Laying => $change->apply($all), $left);
        $reaches = static fn (Length $used): bool => null === $promised || !$promised->isLessThan($case->make->altered($used));
        $lay = $this->make($setup, $left, [] === $shaped ? $reaches : null);
        $used = Length::ofMillimetres(ceil($lay->used['s0'] ?? 0));
        $less = [] === $shaped ? $lay : $this->make($this->setup($case, array_values($changed->pieces), []), $changed, $reaches);
        $record = new LayRecord($account);
        $request = $setup->request([$lay->fold]);
        $sound = null !== $request && Status::Placed === $lay->status && [] === (new Judge())->faults($request, $lay);
        $this->lays->store($setup->saved($record->id, $case->project->name, $lay, $sound, []), $record);
        $this->entities->persist($record);

        return [$record, $used->minus(Length::ofMillimetres(ceil($less->used['s0'] ?? 0)))->larger(Length::zero())];
    }

    /**
     * @param list<Piece>  $pieces
     * @param list<string> $off
     */
    private function setup(EnoughCase $case, array $pieces, array $off): LaySetup
    {
        $claim = $case->role->claim;
        $size = $case->project->largestSize();
        $garment = new LaidGarment(
            $case->project->name,
            $case->project->id,
            $case->version->id,
            $claim->role,
            $size,
            $case->version->pieces->mark($size, $off),
            $claim->pieces,
        );
        $sheet = new LaidSheet(
            $case->cloth,
            $case->cut,
            $case->toCut->width ?? Length::zero(),
            // longer than the cut, so that a lay without what changes shapes goes on it
            null,
            Length::zero(),
        );

        return new LaySetup(
            [$sheet],
            [$garment],
            [$pieces],
            new LayRules(
                $case->cloth->isOneWay(),
                match: null !== $case->make->lays->laying->surface->repeat,
                off: array_map(static fn (string $name): string => '0/'.$name, $off),
            ),
            $this->settings->current()->assumptions,
        );
    }

    /**
     * The lay that the list of remedies promised, laid again as it was there, and a better one where that is found in time.
     *
     * @param ?\Closure(Length): bool $reaches whether a length is what was promised; null where nothing was
     */
    private function make(LaySetup $setup, Laying $laying, ?\Closure $reaches): Lay
    {
        $flat = $setup->request([Fold::Flat]) ?? throw new \LogicException('There are pieces to lay.');
        $best = (new LayMaker(false))->make($flat, Block::clock($laying->looks(Lays::TIMES)));
        foreach (self::SECONDS as $seconds) {
            $start = microtime(true);
            $longer = $setup->request([Fold::Flat, Fold::Lengthwise, Fold::Gate], $seconds) ?? $flat;
            $lay = (new LayMaker())->make($longer, static fn (): float => microtime(true) - $start);
            $best = [] === $lay->unplaced && ([] !== $best->unplaced || $lay->used['s0'] < $best->used['s0']) ? $lay : $best;
            if (null === $reaches || $reaches(Length::ofMillimetres(ceil($best->used['s0'] ?? 0)))) {
                break;
            }
        }

        return $best;
    }
}
