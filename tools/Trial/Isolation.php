<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Every address that holds an id of one account, asked for and posted to by another. */
final readonly class Isolation implements Trial
{
    public function name(): string
    {
        return 'isolation';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $owner = Visitor::withDemo($server);
        $crawl = new Crawl();
        $pages = $crawl->pages($owner);
        $before = $owner->page('/settings/export')->content;
        $stranger = Visitor::newcomer($server);
        $hasId = static fn (string $path): bool => 1 === preg_match('/[0-9A-Z]{26}/', $path);
        foreach (array_filter(array_keys($pages), $hasId) as $path) {
            $status = $stranger->page($path)->status;
            $tally->expect(
                \in_array($status, [403, 404], true) || str_contains($path, '?'),
                \sprintf('%s answers %d to a stranger', $path, $status),
            );
        }
        $stranger->page('/settings');
        foreach ($crawl->forms($pages) as [$path, $names]) {
            if ($hasId($path)) {
                $answer = $stranger->send($path, array_fill_keys($names, '1'));
                $tally->expect(
                    \in_array($answer->status, [302, 303, 403, 404, 405, 422], true),
                    \sprintf('%s answers %d to a stranger’s form', $path, $answer->status),
                );
            }
        }
        $tally->expect($before === $owner->page('/settings/export')->content, 'a stranger has changed something');
    }
}
