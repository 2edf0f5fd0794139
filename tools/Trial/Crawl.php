<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** The forms and links of pages, as a browser would find them. */
final readonly class Crawl
{
    private const FIRST = [
        '/season',
        '/cloth',
        '/patterns',
        '/table',
        '/shopping',
        '/people',
        '/notions',
        '/settings',
        '/find?q=a',
        '/project/new',
        '/cloth/new',
        '/cloth/haul',
        '/patterns/haul',
        '/season/new',
        '/patterns/new',
    ];
    private const EACH = 2;

    /**
     * From the rooms on, a few pages of each kind.
     *
     * @return array<string, string> path → what stands there
     */
    public function pages(Visitor $visitor, int $most = 120): array
    {
        $pages = $kinds = [];
        for ($waiting = self::FIRST, $at = 0; isset($waiting[$at]) && \count($pages) < $most; ++$at) {
            $path = $waiting[$at];
            $kind = (string) preg_replace(['/[0-9A-Z]{26}/', '/\?.*/'], ['ID', '?'], $path);
            $kinds[$kind] = ($kinds[$kind] ?? 0) + 1;
            if (isset($pages[$path]) || $kinds[$kind] > self::EACH) {
                continue;
            }
            $pages[$path] = $visitor->page($path)->content;
            preg_match_all('~href="(/[^"#]*)~', $pages[$path], $found);
            foreach (array_unique($found[1]) as $link) {
                if (!str_starts_with($link, '/assets')) {
                    $waiting[] = html_entity_decode($link);
                }
            }
        }

        return $pages;
    }

    /**
     * @param array<string, string> $pages
     *
     * @return list<array{string, list<string>}> addresses that are posted to, each with the names of its fields
     */
    public function forms(array $pages): array
    {
        $forms = [];
        foreach ($pages as $path => $content) {
            $document = new \DOMDocument();
            if ('' === $content || !@$document->loadHTML($content)) {
                continue;
            }
            foreach ($document->getElementsByTagName('form') as $form) {
                if ('post' === strtolower($form->getAttribute('method'))) {
                    $names = [];
                    foreach (['input', 'select', 'textarea', 'button'] as $tag) {
                        foreach ($form->getElementsByTagName($tag) as $field) {
                            $names[] = $field->getAttribute('name');
                        }
                    }
                    $action = $form->getAttribute('action');
                    $forms['' === $action ? explode('?', $path)[0] : $action] = array_values(
                        array_diff(array_unique($names), ['', '_token', '_once']),
                    );
                }
            }
        }

        return array_map(static fn (string $path, array $names): array => [$path, $names], array_keys($forms), array_values($forms));
    }
}
