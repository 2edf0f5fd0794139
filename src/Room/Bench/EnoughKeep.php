<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\LayKeeper;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\ProjectLay;
use Octavum\Core\Season\Wish;
use Octavum\Document\AlterationCodec;
use Octavum\Store\ClaimRecord;
use Octavum\Store\LayMapper;
use Octavum\Store\LayRecord;
use Octavum\Store\OptionRecord;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRepository;
use Octavum\Store\Stash;
use Octavum\Store\TakeBack;
use Symfony\Component\Clock\ClockInterface;

/** Keeps what makes a cloth enough, in the project and as a saved lay. */
final readonly class EnoughKeep
{
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
     * @return ?string a key to take it back by; null when the lay came to more than there is, and nothing is changed
     */
    public function keep(EnoughCase $case, array $changes, Account $account): ?string
    {
        $record = $this->projects->hereOf($account, $case->project->id) ?? throw new \LogicException('It is on the plan.');
        $id = $case->role->claim->id;
        $claims = $record->current->claims->filter(static fn (ClaimRecord $claim): bool => $claim->id === $id)->getValues();
        $touched = [$record, $record->current, ...$claims];
        $before = $this->takeBack->state($touched);
        $shaped = array_values(array_filter($changes, static fn (Change $change): bool => [] === $change->off));
        if ($case->make->real) {
            $kept = $this->keeper($case)->keep($changes);
            if (!$kept->isEnough) {
                return null;
            }
            $saves = $kept->saves;
            $lay = new LayRecord($account);
            $this->lays->store($kept->setup->saved($lay->id, $case->project->name, $kept->lay, $kept->sound, []), $lay);
            $this->entities->persist($lay);
            // taken back, it is thrown away
            $lay->removedAt = $this->clock->now();
            $before += $this->takeBack->state([$lay]);
            $lay->removedAt = null;
            $touched[] = $lay;
            foreach ($claims as $claim) {
                // a length that was stated by hand is replaced by the lay
                [$claim->lay, $claim->stated] = [$lay, null];
            }
        } else {
            $shaped = $changes;
            $saves = $case->make->need->minus($case->make->amount(...$changes) ?? $case->make->need);
        }
        if ([] !== $shaped && $saves->micrometres > 0) {
            $tape = $this->settings->tape();
            $names = array_map(fn (Change $change): string => $this->sentences->write($change->words, $tape), $shaped);
            $alteration = new Alteration(mb_substr(implode('; ', $names), 0, 120), $saves->negated(), [$case->role->claim->role]);
            $record->current->alterations = [...$record->current->alterations, ...$this->alterations->write([$alteration])];
        }
        foreach ($changes as $change) {
            if (null !== $change->from) {
                $touched[] = $this->claim($case, $change, $change->from, $record->current, $account);
            }
        }
        ++$record->changes;
        $this->entities->flush();

        return $this->takeBack->keep($before, $touched, ['changes']);
    }

    private function keeper(EnoughCase $case): LayKeeper
    {
        $lay = new ProjectLay($case->project, $case->role->claim, $this->settings->current()->assumptions);

        return new LayKeeper($case->make, $lay->setup(...), static function (Request $request): Lay {
            $start = microtime(true);

            return (new LayMaker())->make($request, static fn (): float => microtime(true) - $start);
        });
    }

    /** Some pieces from another cut of the cloth, or from more of it. */
    private function claim(EnoughCase $case, Change $change, Elsewhere $from, OptionRecord $option, Account $account): ClaimRecord
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
        $record = new ClaimRecord($option);
        $this->mapper->storeClaim(new Claim('', $case->role->claim->role, wish: $wish, pieces: $change->pieces), $record);
        $record->cut = null === $wish ? $this->stash->record($account, $from->key) : null;

        return $record;
    }
}
