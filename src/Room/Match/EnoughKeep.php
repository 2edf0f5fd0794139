<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\ProjectLay;
use Octavum\Core\Project\Wish;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\LayKeeper;
use Octavum\Document\Codec\AlterationCodec;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRepository;

/** Keeps what makes a cloth enough, in the project and as a saved lay. */
final readonly class EnoughKeep
{
    public function __construct(
        private ProjectRepository $projects,
        private LayMapper $lays,
        private AlterationCodec $alterations,
        private SentenceWriter $sentences,
        private AccountSettings $settings,
        private ChangeLog $changes,
        private ProjectMapper $mapper,
        private Stash $stash,
    ) {
    }

    /**
     * @param list<Change> $changes none to keep the lay alone
     *
     * @return bool whether it is kept; not when the lay came to more than there is, and nothing is changed
     */
    public function keep(EnoughCase $case, array $changes, Account $account, Notice $notice): bool
    {
        $record = $this->projects->hereOf($account, $case->project->id) ?? throw new \LogicException('It is on the plan.');
        $id = $case->role->claim->id;
        $claims = $record->current->claims->filter(static fn (ClaimRecord $claim): bool => $claim->id === $id)->getValues();
        $kept = $case->make->real ? $this->keeper($case)->keep($changes) : null;
        if (false === $kept?->isEnough) {
            return false;
        }
        $make = function () use ($case, $changes, $account, $record, $claims, $kept): array {
            $made = [];
            if (null !== $kept) {
                $made[] = $lay = new LayRecord($account);
                $this->lays->store($kept->setup->saved($lay->id, $case->project->name, $kept->lay, $kept->sound, []), $lay);
                foreach ($claims as $claim) {
                    // a length that was stated by hand is replaced by the lay
                    [$claim->lay, $claim->stated] = [$lay, null];
                }
            }
            $this->alter($case, $changes, $record->current, $kept->saves ?? null);
            foreach ($changes as $change) {
                if (null !== $change->from) {
                    $made[] = $this->claim($case, $change, $change->from, $record->current, $account);
                }
            }
            ++$record->changes;

            return $made;
        };
        $this->changes->commit([$record, $record->current, ...$claims], $make, $notice);

        return true;
    }

    /**
     * What changes the garment is kept as an alteration that saves as much.
     *
     * @param list<Change> $changes
     * @param ?Length      $laid    what the lay saves; null where nothing is laid
     */
    private function alter(EnoughCase $case, array $changes, OptionRecord $option, ?Length $laid): void
    {
        $shaped = null === $laid ? $changes : array_values(array_filter($changes, static fn (Change $change): bool => [] === $change->off));
        $saves = $laid ?? $case->make->need->minus($case->make->amount(...$changes) ?? $case->make->need);
        if ([] === $shaped || $saves->micrometres <= 0) {
            return;
        }
        $tape = $this->settings->tape();
        $names = array_map(fn (Change $change): string => $this->sentences->write($change->words, $tape), $shaped);
        $alteration = new Alteration(mb_substr(implode('; ', $names), 0, 120), $saves->negated(), [$case->role->claim->role]);
        $option->alterations = [...$option->alterations, ...$this->alterations->write([$alteration])];
    }

    private function keeper(EnoughCase $case): LayKeeper
    {
        $lay = new ProjectLay($case->project, $case->role->claim, $this->settings->current()->assumptions);

        return new LayKeeper($case->make, $lay->setup(...), static function (LayRequest $request): Lay {
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
                $cloth->material->fibres,
                $cloth->material->structure,
                oneWay: $cloth->isOneWay(),
                repeat: $cloth->look->repeat,
                pricePerMetre: $cloth->purchase->pricePerMetre,
                width: $cloth->width?->full,
            )
            : null;
        $record = new ClaimRecord($option);
        $this->mapper->storeClaim(new Claim('', $case->role->claim->role, wish: $wish, pieces: $change->pieces), $record);
        $record->cut = null === $wish ? $this->stash->record($account, $from->key) : null;

        return $record;
    }
}
