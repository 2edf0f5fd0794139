<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/**
 * Every address there is with odd parts, odd queries and odd methods, and tables and lists with odd cells: each answer comes in time and
 * is no fault of the application's.
 */
final readonly class Addresses implements Trial
{
    /** What would end the trial itself or its account, or is another trial's. */
    private const LEFT_ALONE = [
        ...['/sign-out', '/settings/delete', '/settings/password', '/settings/import', '/demo'],
        ...['/register', '/sign-in'],
    ];

    /** Typed line by line, or read from a table: address and field. */
    private const LINES = [
        ['/cloth/haul', 'haul'],
        ['/cloth/csv', 'text'],
        ['/patterns/haul', 'haul'],
        ['/patterns/csv', 'text'],
        ['/notions', 'lines'],
    ];
    private const METHODS = ['GET', 'GET', 'GET', 'GET', 'HEAD', 'POST', 'POST', 'PUT', 'DELETE', 'OPTIONS'];

    /** @param non-empty-list<string> $paths of all routes, with {placeholders} */
    public function __construct(private array $paths)
    {
    }

    public function name(): string
    {
        return 'paths';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $visitor = Visitor::oneOfMany($server);
        $crawled = implode("\n", (new Crawl())->pages($visitor));
        preg_match_all('/\b[0-9A-HJKMNP-TV-Z]{26}\b/', $crawled, $ids);
        preg_match_all('/(?:[?&;]|name=")([a-z][A-Za-z-]{1,20})(?:=|")/', $crawled, $names);
        $ids = [...array_values(array_unique($ids[0])), '01ARZ3NDEKTSV4RRFFQ69G5FAV'];
        $names = [...array_values(array_unique($names[1])), 'q', 'page'];
        for ($i = $seed; $span->more(); ++$i) {
            $odd = new Odd($i);
            if (0 === $odd->number(0, 9)) {
                [$path, $field] = $odd->pick(self::LINES);
                $table = $this->table($odd);
                $answer = $visitor->send($path, [$field => 'text' === $field ? base64_encode($table) : $table]);
                $tally->answer($answer, 'paths, seed '.$i.', lines at '.$path);
                continue;
            }
            $path = $this->path($odd, $ids);
            $method = $odd->pick(self::METHODS);
            $query = $this->query($odd, $names);
            $what = \sprintf('paths, seed %d, %s %s', $i, $method, mb_substr($path.'?'.$query, 0, 120));
            $answer = 'POST' === $method
                ? $visitor->send($path.'?'.$query, $this->fields($odd, $names))
                : $visitor->answer($visitor->ask($method, $path.('' === $query ? '' : '?'.$query)));
            $tally->answer($answer, $what);
        }
        $tally->answer($visitor->page('/season'), 'a page afterwards');
        $tally->figures[] = \sprintf('%d addresses, %d names of fields', \count($this->paths), \count($names));
    }

    /** @param non-empty-list<string> $ids */
    private function path(Odd $odd, array $ids): string
    {
        do {
            $path = (string) preg_replace_callback(
                '/\{!?(\w+)[^}]*\}/',
                static fn (): string => match ($odd->number(0, 5)) {
                    0 => rawurlencode($odd->text()),
                    1 => strtolower($odd->pick($ids)),
                    default => $odd->pick($ids),
                },
                $odd->pick($this->paths),
            );
        } while (\in_array($path, self::LEFT_ALONE, true));

        // longer than a line of a request may be is not the application's
        return substr($path, 0, 4_000);
    }

    /** @param non-empty-list<string> $names */
    private function query(Odd $odd, array $names): string
    {
        $query = [];
        for ($i = $odd->number(0, 3); $i > 0; --$i) {
            $name = $odd->pick($names);
            $value = rawurlencode(mb_strcut($odd->text(), 0, 1_000));
            $query[] = match ($odd->number(0, 5)) {
                0 => $name.'[]='.$value,
                1 => $name.'[a][b]='.$value,
                2 => $name,
                default => $name.'='.$value,
            };
        }

        return implode('&', $query);
    }

    /**
     * @param non-empty-list<string> $names
     *
     * @return array<string, mixed>
     */
    private function fields(Odd $odd, array $names): array
    {
        $fields = [];
        for ($i = $odd->number(0, 8); $i > 0; --$i) {
            $fields[$odd->pick($names)] = 0 === $odd->number(0, 3) ? [$odd->text(), [$odd->text()]] : $odd->text();
        }

        return $fields;
    }

    private function table(Odd $odd): string
    {
        $between = $odd->pick([',', ';', "\t", '|']);
        $rows = ['Name'.$between.'Length'.$between.'Width'.$between.'Fibres'];
        for ($i = $odd->number(1, 30); $i > 0; --$i) {
            $cells = [];
            for ($cell = $odd->number(1, 8); $cell > 0; --$cell) {
                $text = $odd->text();
                $cells[] = 0 === $odd->number(0, 60) ? str_repeat($text.' wool 140 wide ', $odd->number(1, 3_000)) : $text;
            }
            $rows[] = implode($between, $cells);
        }

        return implode("\n", $rows);
    }
}
