<?php

declare(strict_types=1);

namespace Octavum\Console\Trial;

use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Svg\SvgReader;
use Octavum\Exchange\Refused;
use Octavum\Table\LayoutReader;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Each tries one promise of docs/security.md on a server that runs, for about so many seconds, and tells what it found. */
final readonly class Trials
{
    public const NAMES = ['import', 'forms', 'isolation', 'uploads', 'kill', 'load'];

    /** What would end the trial itself, or its account. */
    private const LEFT_ALONE = ['/sign-out', '/settings/delete', '/settings/password', '/settings/import'];

    /** Under load: so many people, each with a page every so many seconds. */
    private const PEOPLE = 50;
    private const PAUSE = 5;

    public function __construct(#[Autowire('%kernel.project_dir%')] private string $project)
    {
    }

    public function run(string $name, Server $server, float $seconds, int $seed, float $slow): Tally
    {
        $tally = new Tally($slow);
        // from the first thing tried on
        $more = static function () use ($seconds): bool {
            static $until = null;

            return microtime(true) < ($until ??= microtime(true) + $seconds);
        };

        return match ($name) {
            'import' => $this->import($tally, $server, $more, $seed),
            'forms' => $this->forms($tally, $server, $more, $seed),
            'isolation' => $this->isolation($tally, $server),
            'uploads' => $this->uploads($tally, $server),
            'kill' => $this->kill($tally, $server, $more, $seed),
            default => $this->load($tally, $server, $seconds),
        };
    }

    /**
     * Mutated documents of every format: refused or taken, and nothing changed after a refusal.
     *
     * @param \Closure(): bool $more
     */
    private function import(Tally $tally, Server $server, \Closure $more, int $seed): Tally
    {
        $visitor = $this->newcomer($server);
        /** @var array<mixed> $document */
        $document = json_decode((string) file_get_contents($this->project.'/fixtures/demo-workroom.json'), true);
        $visitor->upload('/settings/import', 'document', 'w.json', (string) json_encode($document), ['replace' => '1']);
        $before = $visitor->page('/settings/export')->content;
        $tables = array_map(static fn (string $room): string => $visitor->page($room.'/csv/out')->content, ['/cloth', '/notions', '/patterns']);
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" width="1m" viewBox="0 0 1000 1000"><g transform="translate(5,5) rotate(3)"><title>Back</title><path d="M0 0L300 0C300 200 200 300 100 400Z"/></g><use href="#p"/><circle id="p" r="50"/></svg>';
        $layout = (string) json_encode(['format' => 'octavum-layout', 'version' => 1, 'cuts' => [['id' => 'a', 'width' => 1400, 'length' => 3000]], 'pieces' => [['id' => 'p', 'outline' => [[0, 0], [300, 0], [250, 400]], 'quantity' => 4]], 'seconds' => 0.05]);
        for ($i = $seed; $more(); ++$i) {
            $odd = new Odd($i);
            $what = 'import, seed '.$i;
            switch ($i % 5) {
                case 0:
                case 1:
                    $sent = 0 === $i % 2 ? $odd->document($document) : $odd->bytes((string) json_encode($document));
                    $answer = $visitor->upload('/settings/import', 'document', 'w.json', $sent, 0 === $i % 3 ? ['replace' => '1'] : []);
                    $tally->answer($answer, $what);
                    if (302 === $answer->status) {
                        $before = $visitor->page('/settings/export')->content;
                        $tally->expect(null !== json_decode($before), $what.': what was taken cannot be exported');
                    } elseif (0 === $i % 4) {
                        $tally->expect($before === $visitor->page('/settings/export')->content, $what.': something changed after a refusal');
                    }
                    break;
                case 2:
                    $room = $odd->number(0, 2);
                    $tally->answer($visitor->upload(['/cloth/csv', '/notions/csv', '/patterns/csv'][$room], 'file', 't.csv', $odd->bytes($tables[$room])), $what);
                    break;
                case 3:
                    $tally->answer($visitor->send('/cloth/haul/read', ['lines' => $odd->bytes("1.8 m moss linen 140 cm washed, locker 2\n2 x 1.6m lawn")]), $what);
                    break;
                default:
                    $this->read(static fn () => (new SvgReader())->read($odd->bytes($svg)), $tally, $what);
                    $this->read(static fn () => (new LayoutReader())->read($odd->bytes($layout)), $tally, $what);
            }
        }

        return $tally;
    }

    /** @param \Closure(): mixed $read */
    private function read(\Closure $read, Tally $tally, string $what): void
    {
        $began = microtime(true);
        try {
            $read();
            $status = 200;
        } catch (Refused|Unreadable) {
            $status = 422;
        } catch (\Throwable $fault) {
            $status = 500;
            $what .= ': '.$fault->getMessage();
        }
        $tally->answer(new Answer($status, microtime(true) - $began, '', ''), $what);
    }

    /**
     * Every form with odd values; without its token, or with a wrong one, it is refused.
     *
     * @param \Closure(): bool $more
     */
    private function forms(Tally $tally, Server $server, \Closure $more, int $seed): Tally
    {
        $visitor = $this->newcomer($server, demo: true);
        $crawl = new Crawl();
        $forms = array_values(array_filter($crawl->forms($crawl->pages($visitor)), static fn (array $form): bool => !\in_array($form[0], self::LEFT_ALONE, true)));
        $tally->figures[] = \count($forms).' forms';
        foreach ($forms as [$path, $names]) {
            foreach (['', 'made up'] as $token) {
                $tally->expect(403 === $visitor->send($path, array_fill_keys($names, 'x'), $token)->status, $path.' takes a wrong token');
            }
        }
        for ($i = $seed; [] !== $forms && $more(); ++$i) {
            $odd = new Odd($i);
            [$path, $names] = $odd->of($forms);
            $fields = [];
            foreach ($names as $name) {
                if (0 !== $odd->number(0, 3)) {
                    $fields[$name] = $odd->text();
                }
            }
            parse_str(http_build_query($fields), $nested);
            $tally->answer($visitor->send($path, $nested), 'forms, seed '.$i.', '.$path);
            if (0 === $i % 7) {
                $query = $odd->of(['/find?q=', '/cloth?kind=', '/cloth?length=', '/patterns?words=', '/cloth?page=', '/read/length?text=', '/table/new?size=']).rawurlencode($odd->text());
                $tally->answer($visitor->page($query), 'forms, seed '.$i.', '.mb_substr($query, 0, 80));
            }
        }
        $export = $visitor->page('/settings/export');
        $tally->expect(200 === $export->status && null !== json_decode($export->content), 'afterwards the workroom cannot be exported');

        return $tally;
    }

    /** Every address that holds an id of one account, asked for and posted to by another. */
    private function isolation(Tally $tally, Server $server): Tally
    {
        $owner = $this->newcomer($server, demo: true);
        $crawl = new Crawl();
        $pages = $crawl->pages($owner);
        $before = $owner->page('/settings/export')->content;
        $stranger = $this->newcomer($server);
        $hasId = static fn (string $path): bool => 1 === preg_match('/[0-9A-Z]{26}/', $path);
        foreach (array_filter(array_keys($pages), $hasId) as $path) {
            $status = $stranger->page($path)->status;
            $tally->expect(\in_array($status, [403, 404], true) || str_contains($path, '?'), \sprintf('%s answers %d to a stranger', $path, $status));
        }
        $stranger->page('/settings');
        foreach ($crawl->forms($pages) as [$path, $names]) {
            if ($hasId($path)) {
                $answer = $stranger->send($path, array_fill_keys($names, '1'));
                $tally->expect(\in_array($answer->status, [302, 303, 403, 404, 405, 422], true), \sprintf('%s answers %d to a stranger’s form', $path, $answer->status));
            }
        }
        $tally->expect($before === $owner->page('/settings/export')->content, 'a stranger has changed something');

        return $tally;
    }

    /** Files that would take minutes or gigabytes; the server answers others meanwhile and after. */
    private function uploads(Tally $tally, Server $server): Tally
    {
        $visitor = $this->newcomer($server);
        $cloth = $visitor->send('/cloth/new', ['name' => 'Lawn'])->location;
        $pattern = $visitor->send('/patterns/new', ['title' => 'Coat', 'versionName' => 'A'])->location;
        preg_match('~/versions/[0-9A-Z]{26}~', $visitor->page($pattern)->content, $version);
        foreach ((new Hostile())->pictures() as $name => $content) {
            $tally->answer($visitor->upload($cloth.'/photo', 'photo', $name.'.png', $content), 'a picture: '.$name, 6);
        }
        foreach ((new Hostile())->drawings() as $name => $content) {
            $answer = $visitor->upload(($version[0] ?? '').'/pieces/import', 'file', $name.'.svg', $content);
            $tally->answer($answer, 'a drawing: '.$name, 2);
        }
        $tally->answer($visitor->page('/season'), 'a page afterwards');

        return $tally;
    }

    /**
     * Writers, and power cuts: what was acknowledged is there, nobody is signed out, the file is whole.
     *
     * @param \Closure(): bool $more
     */
    private function kill(Tally $tally, Server $server, \Closure $more, int $seed): Tally
    {
        $writers = array_map(fn (int $i): Visitor => $this->newcomer($server), range(1, 4));
        $acknowledged = array_fill(0, 4, []);
        $kills = $lost = 0;
        for ($round = 0; $more() || 0 === $kills; ++$round) {
            $writing = new Together(4, static function (int $i, \Closure $tell) use ($writers, $round): void {
                for ($n = 0; $n < 1000; ++$n) {
                    $name = \sprintf('Cloth %d %d %d', $i, $round, $n);
                    $answer = $writers[$i]->send('/cloth/new', ['name' => $name, 'cuts' => [['length' => '2']]]);
                    if (302 === $answer->status && str_starts_with($answer->location, '/cloth/')) {
                        $tell($name);
                    }
                }
            });
            // a power cut, while all four are writing
            usleep(300_000 + 1000 * (new Odd($seed + $round))->number(0, 1000));
            $server->kill();
            $writing->stop();
            foreach ($writing->told() as $i => $names) {
                array_push($acknowledged[$i], ...$names);
            }
            ++$kills;
            $server->start();
            foreach ($writers as $i => $writer) {
                $tally->expect(200 === $writer->page('/settings')->status, \sprintf('kill %d: writer %d is signed out', $kills, $i));
            }
        }
        foreach ($writers as $i => $writer) {
            $there = $writer->page('/settings/export')->content;
            foreach ($acknowledged[$i] as $name) {
                if (!str_contains($there, '"'.$name.'"')) {
                    ++$lost;
                    $tally->bad($name.' was acknowledged and is lost');
                }
            }
        }
        $tally->tried += array_sum(array_map(\count(...), $acknowledged));
        $said = (new \PDO('sqlite:'.$server->data.'/octavum.sqlite'))->query('PRAGMA integrity_check');
        $tally->expect(false !== $said && 'ok' === $said->fetchColumn(), 'the database is damaged');
        $tally->figures[] = \sprintf('%d kills, %d acknowledged entries, %d lost', $kills, array_sum(array_map(\count(...), $acknowledged)), $lost);

        return $tally;
    }

    /** Fifty people looking at pages, each every few seconds. */
    private function load(Tally $tally, Server $server, float $seconds): Tally
    {
        $workers = $server->workers();
        $visitors = [];
        for ($i = 0; $i < self::PEOPLE; ++$i) {
            $visitors[] = $visitor = new Visitor($server->base);
            $visitor->openDemo();
        }
        $pages = ['/season', '/cloth', '/patterns', '/shopping', '/people', '/notions', '/find?q=heron', '/table'];
        $spent = [];
        // what is worked out once and kept is not what is measured
        foreach ([...$pages, ...$pages, ...$pages, ...$pages] as $page) {
            $visitors[0]->page($page);
        }
        $until = microtime(true) + $seconds;
        $looking = new Together(self::PEOPLE, static function (int $i, \Closure $tell) use ($visitors, $pages, $until): void {
            usleep(1_000_000 * self::PAUSE * $i / self::PEOPLE);
            while (microtime(true) < $until) {
                $began = microtime(true);
                $answer = $visitors[$i]->page($pages[random_int(0, \count($pages) - 1)]);
                $tell($answer->status.' '.(microtime(true) - $began));
                usleep(max(0, (int) (1_000_000 * (self::PAUSE - microtime(true) + $began))));
            }
        });
        foreach ($looking->told() as $lines) {
            foreach ($lines as $line) {
                [$status, $took] = explode(' ', $line);
                $tally->answer(new Answer((int) $status, (float) $took, '', ''), 'a page under load');
                $tally->expect('200' === $status, 'a page under load answers '.$status);
                $spent[] = (float) $took;
            }
        }
        sort($spent);
        $held = $server->workers();
        $tally->expect([] === array_diff_key($workers, $held), 'a worker was lost');
        $tally->figures[] = \sprintf('%d pages, median %.0f ms, p95 %.0f ms, most memory of a worker %.0f MB', \count($spent), 1000 * ($spent[intdiv(\count($spent), 2)] ?? 0), 1000 * ($spent[(int) (0.95 * \count($spent))] ?? 0), [] === $held ? 0 : max($held));

        return $tally;
    }

    private function newcomer(Server $server, bool $demo = false): Visitor
    {
        $visitor = new Visitor($server->base);
        $email = bin2hex(random_bytes(6)).'@example.org';
        $visitor->register($email);
        if ($demo) {
            $visitor->upload('/settings/import', 'document', 'w.json', (string) file_get_contents($this->project.'/fixtures/demo-workroom.json'), ['replace' => '1']);
            $visitor->page('/settings');
        }

        return $visitor;
    }
}
