<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/**
 * Fifty people (five for a few seconds) with a workroom each, who look at pages or, three times in ten, write, every two seconds;
 * “beside” while lays are made, a large document is brought in and
 * hostile files are sent, again and again.
 */
final readonly class Load implements Trial
{
    private const PEOPLE = 50;
    private const FEW = 5;
    private const SHORT = 10;
    private const PAUSE = 2;

    /** Of ten presses so many write. */
    private const WRITES = 3;
    private const PAGES = ['/season', '/cloth', '/patterns', '/shopping', '/people', '/notions', '/find?q=heron', '/table'];

    /** Bytes of the large document, and seconds between what is sent beside. */
    private const LARGE = 6_000_000;
    private const REST = 20;

    public function __construct(private bool $beside = false)
    {
    }

    public function name(): string
    {
        return $this->beside ? 'beside' : 'load';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $people = $span->seconds < self::SHORT ? self::FEW : self::PEOPLE;
        $visitors = [];
        for ($i = 0; $i < $people; ++$i) {
            $visitors[] = Visitor::oneOfMany($server);
        }
        $work = $this->beside ? $this->work($server) : [];
        // what is worked out once and kept is not what is measured
        foreach ([...self::PAGES, ...self::PAGES, ...self::PAGES, ...self::PAGES] as $page) {
            $visitors[0]->page($page);
        }
        $workers = $server->workers();
        $span->more();
        $looking = new ParallelVisitors($people + \count(
            $work,
        ), function (int $i, \Closure $tell) use ($visitors, $work, $span, $people): void {
            if ($i >= $people) {
                while ($span->more()) {
                    $tell($work[$i - $people]($span));
                    sleep(self::REST);
                }

                return;
            }
            usleep(intdiv(1_000_000 * self::PAUSE * $i, $people));
            while ($span->more()) {
                $began = microtime(true);
                $isWrite = random_int(1, 10) <= self::WRITES;
                $answer = $isWrite ? $this->write($visitors[$i]) : $this->look($visitors[$i]);
                $tell(($isWrite === (302 === $answer->status) ? $answer->status : '4'.$answer->status).' '.(microtime(true) - $began));
                usleep(max(0, (int) (1_000_000 * (self::PAUSE - microtime(true) + $began))));
            }
        });
        $told = $looking->told();
        $this->judge(array_merge(...\array_slice($told, 0, $people)), $span->seconds, $tally);
        $isLost = $server->hasFixedWorkers() && [] !== array_diff_key($workers, $server->workers());
        $tally->expect(!$isLost, 'a worker was lost');
        foreach (array_count_values(array_merge(...\array_slice($told, $people))) as $what => $times) {
            $tally->figures[] = $times.' × '.$what;
        }
    }

    private function look(Visitor $visitor): Answer
    {
        return $visitor->page(self::PAGES[random_int(0, \count(self::PAGES) - 1)]);
    }

    private function write(Visitor $visitor): Answer
    {
        return match (random_int(0, 2)) {
            0 => $visitor->send('/cloth/haul', ['haul' => random_int(1, 9).' m lawn '.random_int(100, 160).' wide']),
            1 => $visitor->send('/notions', ['lines' => random_int(1, 99).' buttons 15 mm']),
            default => $visitor->send('/cloth/new', ['name' => 'Cloth '.random_int(1, 999), 'cuts' => [['length' => '2']]]),
        };
    }

    /** @param list<string> $lines status and seconds */
    private function judge(array $lines, float $seconds, Tally $tally): void
    {
        $spent = [];
        foreach ($lines as $line) {
            [$status, $took] = explode(' ', $line);
            $tally->answer(new Answer((int) $status, (float) $took, '', ''), 'a page under load');
            $tally->expect(\in_array($status, ['200', '302'], true), 'a page under load answers '.$status);
            $spent[] = 1000 * (float) $took;
        }
        sort($spent);
        $at = static fn (float $share): float => $spent[(int) ($share * \count($spent))] ?? 0;
        $figures = '%d pages, %.1f a second, median %.0f ms, p95 %.0f ms';
        $tally->figures[] = \sprintf($figures, \count($spent), \count($spent) / $seconds, $at(0.5), $at(0.95));
    }

    /**
     * Three who have a lay made, one who brings in a large document, five who send hostile files.
     *
     * @return list<\Closure(TimeBox): string> each says what it did and how it was answered
     */
    private function work(Server $server): array
    {
        $work = [];
        for ($i = 0; $i < 3; ++$i) {
            $visitor = Visitor::withDemo($server);
            $work[] = fn (TimeBox $span): string => 'a lay '.$this->lay($visitor, $span);
        }
        $visitor = Visitor::newcomer($server);
        $document = $this->large($server->demo());
        $work[] = static fn (): string => 'a document '
            .$visitor->upload('/settings/import', 'document', 'w.json', $document, ['replace' => '1'])->status;
        foreach ([...(new Hostile())->pictures()] as $content) {
            $visitor = Visitor::newcomer($server);
            $cloth = $visitor->send('/cloth/new', ['name' => 'Lawn'])->location;
            $work[] = static fn (): string => 'a hostile file '.$visitor->upload($cloth.'/photo', 'photo', 'p.png', $content)->status;
            if (9 === \count($work)) {
                break;
            }
        }

        return $work;
    }

    /** Stopped when the time is over. */
    private function lay(Visitor $visitor, TimeBox $span): string
    {
        preg_match('~/table/([0-9A-Z]{26})~', $visitor->page('/table')->content, $lay);
        $page = new \DOMDocument();
        @$page->loadHTML($visitor->page('/table/'.($lay[1] ?? ''))->content);
        $mat = json_decode((string) $page->getElementById('mat')?->textContent, true);
        $setup = \is_array($mat) ? $mat['setup'] ?? null : null;
        $made = $visitor->json('/table/make', ['setup' => $setup, 'folds' => ['flat'], 'seconds' => 60]);
        $job = json_decode($made->content, true);
        if (!\is_array($job) || !\is_string($job['job'] ?? null)) {
            return (string) $made->status;
        }
        do {
            usleep(500_000);
            $said = $visitor->page('/table/make/'.$job['job']);
        } while (200 === $said->status && $span->more() && !str_contains($said->content, '"ended":true'));
        $visitor->send('/table/make/'.$job['job'].'/stop', []);

        return (string) $said->status;
    }

    /** The demo with its cloths again and again. */
    private function large(string $demo): string
    {
        /** @var array{cloths: non-empty-list<array{id: string, cuts: list<array{id: string}>}>} $document */
        $document = json_decode($demo, true);
        $cloth = $document['cloths'][0];
        for ($bytes = \strlen($demo), $i = 1; $bytes < self::LARGE; ++$i) {
            $cuts = array_map(static fn (array $cut): array => ['id' => $cut['id'].'-'.$i] + $cut, $cloth['cuts']);
            $document['cloths'][] = $one =
                ['id' => $cloth['id'].'-'.$i, 'cuts' => $cuts, 'notes' => str_repeat('Bought on a wet day. ', 80)] + $cloth;
            $bytes += \strlen((string) json_encode($one));
        }

        return (string) json_encode($document);
    }
}
