<?php

declare(strict_types=1);

namespace Octavum\Tests\Store;

use Octavum\Account\Account;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Each list that a form fills holds its limit and comes home in a document; one more is refused with a sentence, and nothing is lost. */
final class FullListsTest extends PageTestCase
{
    private const REFUSED = 'that can be kept here. Take some out.';

    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    /** @param array<string, string> $entry */
    #[DataProvider('lists')]
    public function testAFullListComesHomeAndOneMoreIsRefused(string $form, string $button, string $part, int $most, array $entry): void
    {
        $path = strtr($form, $this->ids());
        // parts need patterns that differ: only one more is tried
        foreach ('parts' === $part ? [$most + 1] : [$most + 1, $most] as $count) {
            $shown = $this->get($path);
            $action = strtr($button, $this->ids());
            $page = str_starts_with($button, '/')
                ? $shown->filter('form[action="'.$action.'"]')->form()
                : $shown->selectButton($button)->form();
            $values = $page->getPhpValues();
            $values[$part] = array_map(
                static fn (int $i): array => array_map(static fn (string $text): string => strtr($text, ['{n}' => (string) $i]), $entry),
                range(1, $count),
            );
            $answer = $this->browser->request('POST', $page->getUri(), $values);
            if ($count > $most) {
                self::assertResponseStatusCodeSame(422);
                self::assertStringContainsString(self::REFUSED, self::says($answer));
            } else {
                self::assertResponseRedirects();
            }
        }
        $json = $this->service(WorkroomWriter::class)->write($this->workroom($this->account));
        self::assertSame($json, $this->service(WorkroomWriter::class)->write((new WorkroomReader())->read($json)));
        foreach (['/season', '/cloth', $path, '/settings/export'] as $open) {
            $this->browser->request('GET', $open);
            self::assertResponseIsSuccessful($open);
        }
    }

    /** @return iterable<string, array{string, string, string, int, array<string, string>}> page, button or form, part, limit, entry */
    public static function lists(): iterable
    {
        $buy = ['role' => 'contrast', 'buy' => 'Lawn {n}'];
        yield 'cloths of a project' => ['/project/{project}/change', 'Save the project', 'claims', 50, $buy];
        yield 'copies of a project' => ['/project/{project}/change', 'Save the project', 'copies', 50, ['size' => '14']];
        $part = ['kind' => 'other pieces', 'version' => 'Lock-keeper trousers', 'pieces' => 'Pocket'];
        yield 'parts of other patterns' => ['/project/{project}/change', 'Save the project', 'parts', 10, $part];
        $bite = ['length' => '1', 'width' => '1', 'from' => '{n}'];
        yield 'what is missing from a cut' => ['/cloth/{cloth}', '/cut/{cut}/bites', 'bites', 20, $bite];
        yield 'steps' => ['/project/{project}/steps', 'Save the steps', 'rows', 500, ['name' => 'Step {n}', 'kind' => 'sew']];
    }

    /** @return array<string, string> */
    private function ids(): array
    {
        $project = $this->project('Regatta dress');

        $claim = $project->current->claims[0];

        return ['{project}' => $project->id, '{cloth}' => (string) $claim->cloth?->id, '{cut}' => (string) $claim->cut?->id];
    }
}
