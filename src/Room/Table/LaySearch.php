<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Sentence;
use Octavum\Document\Json\Refused;

/**
 * Lays by machine and says what it finds as it goes, a JSON document a line: {share} of the time, {better, missing, fold, places}
 * for every better lay, and {done, fold, places} at the end.
 */
final readonly class LaySearch
{
    private const EVERY = 0.25;
    private const MORE_SECONDS = 3.0;

    private const MOST_SECONDS = 60;

    public function __construct(
        private SetupReader $setups,
        private TableNormalizer $mat,
        private SentenceWriter $sentences,
        private AccountSettings $settings,
    ) {
    }

    /**
     * @param string                  $asked by the page, as JSON
     * @param \Closure(string): mixed $say
     * @param \Closure(): bool        $goOn
     */
    public function run(Account $account, string $asked, \Closure $say, \Closure $goOn): void
    {
        [$setup, $request] = $this->read((array) json_decode($asked, true), $account);
        $this->lay(
            $setup,
            $request,
            static fn (array $line): mixed => $say(json_encode($line, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE)),
            $goOn,
        );
    }

    /**
     * @param array<mixed> $asked
     *
     * @return array{Setup, LayRequest}
     *
     * @throws Refused
     */
    public function read(array $asked, Account $account): array
    {
        $setup = $this->setups->read($asked['setup'] ?? null, $account);
        $folds = array_values(
            array_filter(
                array_map(
                    static fn (mixed $fold): ?Fold => \is_string($fold) ? Fold::tryFrom($fold) : null,
                    \is_array($asked['folds'] ?? null) ? $asked['folds'] : [],
                ),
            ),
        );
        $folds = [] === $folds ? [Fold::Flat] : $folds;
        $seconds = max(1.0, min(self::MOST_SECONDS, is_numeric($asked['seconds'] ?? null) ? (float) $asked['seconds'] : 5));

        return [
            $setup,
            $setup->lay->request($folds, $seconds, (new ByHand())->locked($setup, $folds[0], $asked))
            ?? throw Refused::because('There is nothing to lay: choose a garment with pieces, and a cloth.'),
        ];
    }

    /**
     * @param \Closure(array<string, mixed>): mixed $say
     * @param \Closure(): bool                      $goOn
     */
    private function lay(Setup $setup, LayRequest $request, \Closure $say, \Closure $goOn): void
    {
        $start = microtime(true);
        $said = 0.0;
        $stopped = false;
        $elapsed = static function () use ($start, $say, $goOn, $request, &$said, &$stopped): float {
            $now = microtime(true) - $start;
            if ($now - $said > self::EVERY) {
                $said = $now;
                $stopped = $stopped || !$goOn();
                $say(['share' => round(min(1, $now / $request->seconds), 3)]);
            }

            return $stopped ? \INF : $now;
        };
        $best = [\PHP_INT_MAX, \INF];
        $lay = (new LayMaker())->make($request, $elapsed, function (Fold $fold, float $length, \Closure $placements, int $missing) use (
            $say,
            &$best,
        ): void {
            if ([$missing, round($length)] < $best) {
                $best = [$missing, round($length)];
                $say([
                    'better' => $this->mat->length($length),
                    'missing' => $missing,
                    'fold' => $fold->value,
                    'places' => $this->mat->places($placements()),
                ]);
            }
        });
        $answer = $this->mat->answer($setup, $lay, (new Judge())->faults($request, $lay));
        if (Status::Short === $lay->status && [] === $request->fixed && !$stopped) {
            $answer['more'] = $this->more($setup, $request);
        }
        $say(['done' => $answer, 'fold' => $lay->fold->value, 'places' => $this->mat->places($lay->placements)]);
    }

    /** By how much the longest cut is too short for all of it. */
    private function more(Setup $setup, LayRequest $request): ?string
    {
        $longest = 0;
        foreach ($request->sheets as $i => $sheet) {
            $longest = ($sheet->length ?? \INF) > ($request->sheets[$longest]->length ?? \INF) ? $i : $longest;
        }
        $sheet = $request->sheets[$longest];
        if (null === $sheet->length) {
            return null;
        }
        $sheets = $request->sheets;
        $sheets[$longest] = new Sheet($sheet->id, $sheet->width, null, $sheet->outline, $sheet->bites);
        $start = microtime(true);
        $lay = (new LayMaker())->make(
            new LayRequest(
                array_values($sheets),
                $request->pieces,
                $request->gap,
                oneWay: $request->oneWay,
                folds: $request->folds,
                seconds: min(self::MORE_SECONDS, $request->seconds),
            ),
            static fn (): float => microtime(true) - $start,
        );
        $more = ($lay->used[$sheet->id] ?? 0) - $sheet->length;

        return [] !== $lay->unplaced || $more <= 0
            ? null
            : $this->sentences->write(
                new Sentence('With {more} more of {cloth} all of it would go on.', [
                    'more' => $this->mat->figure($more),
                    'cloth' => $this->mat->sheetName($setup->lay->sheets[$longest], $longest),
                ]),
                $this->settings->tape(),
            );
    }
}
