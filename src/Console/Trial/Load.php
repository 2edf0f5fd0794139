<?php

declare(strict_types=1);

namespace Octavum\Console\Trial;

/**
 * Fifty people looking at pages, each every few seconds; “beside” while lays are made, a large document is brought in and
 * hostile files are sent, again and again.
 */
final readonly class Load implements Trial
{
    private const PEOPLE = 50;
    private const PAUSE = 5;
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

    public function run(Server $server, Span $span, int $seed, Tally $tally): void
    {
        $visitors = [];
        for ($i = 0; $i < self::PEOPLE; ++$i) {
            $visitors[] = $visitor = new Visitor($server->base);
            $visitor->openDemo();
        }
        $work = $this->beside ? $this->work($server) : [];
        // what is worked out once and kept is not what is measured
        foreach ([...self::PAGES, ...self::PAGES, ...self::PAGES, ...self::PAGES] as $page) {
            $visitors[0]->page($page);
        }
        $workers = $server->workers();
        $span->more();
        $looking = new Together(self::PEOPLE + \count($work), static function (int $i, \Closure $tell) use ($visitors, $work, $span): void {
            if ($i >= self::PEOPLE) {
                while ($span->more()) {
                    $tell($work[$i - self::PEOPLE]($span));
                    sleep(self::REST);
                }

                return;
            }
            usleep(intdiv(1_000_000 * self::PAUSE * $i, self::PEOPLE));
            while ($span->more()) {
                $began = microtime(true);
                $answer = $visitors[$i]->page(self::PAGES[random_int(0, \count(self::PAGES) - 1)]);
                $tell($answer->status.' '.(microtime(true) - $began));
                usleep(max(0, (int) (1_000_000 * (self::PAUSE - microtime(true) + $began))));
            }
        });
        $told = $looking->told();
        $this->judge(array_merge(...\array_slice($told, 0, self::PEOPLE)), $tally);
        $tally->expect([] === array_diff_key($workers, $server->workers()), 'a worker was lost');
        foreach (array_count_values(array_merge(...\array_slice($told, self::PEOPLE))) as $what => $times) {
            $tally->figures[] = $times.' × '.$what;
        }
    }

    /** @param list<string> $lines status and seconds */
    private function judge(array $lines, Tally $tally): void
    {
        $spent = [];
        foreach ($lines as $line) {
            [$status, $took] = explode(' ', $line);
            $tally->answer(new Answer((int) $status, (float) $took, '', ''), 'a page under load');
            $tally->expect('200' === $status, 'a page under load answers '.$status);
            $spent[] = 1000 * (float) $took;
        }
        sort($spent);
        $at = static fn (float $share): float => $spent[(int) ($share * \count($spent))] ?? 0;
        $tally->figures[] = \sprintf('%d pages, median %.0f ms, p95 %.0f ms', \count($spent), $at(0.5), $at(0.95));
    }

    /**
     * Three who have a lay made, one who brings in a large document, five who send hostile files.
     *
     * @return list<\Closure(Span): string> each says what it did and how it was answered
     */
    private function work(Server $server): array
    {
        $work = [];
        for ($i = 0; $i < 3; ++$i) {
            $visitor = Visitor::withDemo($server);
            $work[] = fn (Span $span): string => 'a lay '.$this->lay($visitor, $span);
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
    private function lay(Visitor $visitor, Span $span): string
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
