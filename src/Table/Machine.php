<?php

declare(strict_types=1);

namespace Octavum\Table;

use Octavum\Account\AccountSettings;
use Octavum\Core\Lay\Fold;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request;
use Octavum\Core\Lay\Sheet;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Sentence;
use Octavum\Page\SentenceWriter;

/**
 * Lays by machine and prints what it finds as it goes, a JSON document a line: {share} of the time, {better, missing, fold, places}
 * for every better lay, and {done, fold, places} at the end. When nobody listens any more, the printing ends the script.
 */
final readonly class Machine
{
    private const EVERY = 0.25;
    private const MORE_SECONDS = 3.0;

    /** Seconds a script may run beyond those it searches, so that a slow machine ends it in good order. */
    private const SPARE = 60;

    public function __construct(private Mat $mat, private SentenceWriter $sentences, private AccountSettings $settings)
    {
    }

    public function run(Setup $setup, Request $request): void
    {
        set_time_limit((int) $request->seconds + self::SPARE);
        $start = microtime(true);
        $said = 0.0;
        $elapsed = function () use ($start, &$said, $request): float {
            $now = microtime(true) - $start;
            if ($now - $said > self::EVERY) {
                $said = $now;
                $this->say(['share' => round(min(1, $now / $request->seconds), 3)]);
            }

            return $now;
        };
        $best = [\PHP_INT_MAX, \INF];
        $lay = (new LayMaker())->make($request, $elapsed, function (Fold $fold, float $length, \Closure $placements, int $missing) use (&$best): void {
            if ([$missing, round($length)] < $best) {
                $best = [$missing, round($length)];
                $this->say(['better' => $this->mat->length($length), 'missing' => $missing, 'fold' => $fold->value, 'places' => $this->mat->places($placements())]);
            }
        });
        $answer = $this->mat->answer($setup, $lay, (new Judge())->faults($request, $lay));
        if (Status::Short === $lay->status && [] === $request->fixed) {
            $answer['more'] = $this->more($setup, $request);
        }
        $this->say(['done' => $answer, 'fold' => $lay->fold->value, 'places' => $this->mat->places($lay->placements)]);
    }

    /** By how much the longest cut is too short for all of it. */
    private function more(Setup $setup, Request $request): ?string
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
        $lay = (new LayMaker())->make(new Request(array_values($sheets), $request->pieces, $request->gap, $request->oneWay, $request->folds, min(self::MORE_SECONDS, $request->seconds)), static fn (): float => microtime(true) - $start);
        $more = ($lay->used[$sheet->id] ?? 0) - $sheet->length;

        return [] !== $lay->unplaced || $more <= 0 ? null : $this->sentences->write(new Sentence('With {more} more of {cloth} all of it would go on.', [
            'more' => $this->mat->figure($more), 'cloth' => $this->mat->sheetName($setup->lay->sheets[$longest], $longest),
        ]), $this->settings->tape());
    }

    /** @param array<string, mixed> $line */
    private function say(array $line): void
    {
        echo json_encode($line, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE)."\n";
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
    }
}
