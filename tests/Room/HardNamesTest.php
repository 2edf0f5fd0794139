<?php

declare(strict_types=1);

namespace Octavum\Tests\Room;

use Octavum\Document\WorkroomReader;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** Whatever people call their things, every page that names them is shown, and shows it as typed. */
final class HardNamesTest extends PageTestCase
{
    private const HARD = '{x ’"<b>&{0}%s ';
    private const TYPED = ['name', 'title', 'maker', 'number', 'label', 'place', 'notes', 'occasion', 'keptWith', 'set', 'showed'];

    public function testEveryPageShowsNamesAsTheyWereTyped(): void
    {
        $document = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/demo-workroom.json'), true);
        self::assertIsArray($document);
        array_walk_recursive($document, static function (mixed &$value, int|string $key): void {
            if (\in_array($key, self::TYPED, true) && \is_string($value) && '' !== $value) {
                $value = mb_substr(self::HARD.$value, 0, 40);
            }
        });
        $account = $this->account();
        $this->service(Workrooms::class)->replace($account, (new WorkroomReader())->read((string) json_encode($document)));
        $this->browser->loginUser($account);
        $seen = $kinds = [];
        $waiting = [
            '/season',
            '/cloth',
            '/patterns',
            '/table',
            '/shopping',
            '/people',
            '/notions',
            '/settings',
            '/find?q=x',
            '/project/new',
        ];
        for ($at = 0; isset($waiting[$at]); ++$at) {
            $path = $waiting[$at];
            // of each kind of page a few are enough
            $kind = preg_replace(['/[0-9A-Z]{26}/', '/\?.*/'], ['ID', '?'], $path);
            if (isset($seen[$path]) || ($kinds[$kind] = ($kinds[$kind] ?? 0) + 1) > 3) {
                continue;
            }
            $seen[$path] = true;
            $this->browser->request('GET', $path);
            self::assertLessThan(400, $this->browser->getResponse()->getStatusCode(), $path);
            if (str_contains((string) $this->browser->getResponse()->headers->get('Content-Type'), 'html')) {
                self::assertStringNotContainsString('<b>&{0}', (string) $this->browser->getResponse()->getContent(), $path);
                array_push($waiting, ...$this->links($this->browser->getCrawler()));
            }
        }
        self::assertGreaterThan(50, \count($seen));
    }

    /** @return list<string> */
    private function links(Crawler $page): array
    {
        $paths = array_map(
            static fn (?string $href): string => explode('#', (string) $href)[0],
            $page->filter('a[href^="/"]')->each(static fn (Crawler $link): ?string => $link->attr('href')),
        );

        return array_values(array_filter($paths, static fn (string $path): bool => '' !== $path && !str_starts_with($path, '/assets')));
    }
}
