<?php

declare(strict_types=1);

namespace Octavum\Tests\Page;

use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** An odd address leads nowhere, and another's leads nowhere too: never to a fault of ours. */
final class OddAddressesTest extends PageTestCase
{
    #[DataProvider('odd')]
    public function testAnOddAddressLeadsNowhere(string $path, int $status): void
    {
        $this->signInToDemo();
        $this->browser->request('GET', $path);
        self::assertResponseStatusCodeSame($status, $path);
    }

    /** @return iterable<string, array{string, int}> */
    public static function odd(): iterable
    {
        foreach (['/%00', '/cloth/%00', '/season/%00/print', '/file/%00', '/patterns/x%00y', '/%ff', '/match/%00'] as $path) {
            yield $path => [$path, 404];
        }
        foreach (['/season?project[]=x', '/season?project[a][b]=x', '/snags?kind[]=x', '/cloth?words[]=x'] as $path) {
            yield $path => [$path, 200];
        }
        foreach (['/table/new?project[]=x', '/project/new?version[]=x', '/find?q[]=x', '/match/best?season[]=x'] as $path) {
            yield $path => [$path, 400];
        }
    }

    public function testMoreTextThanATableHoldsIsRefusedAndNotSentBack(): void
    {
        $this->signInToDemo();
        $this->get('/cloth/haul');
        $page = $this->post('/cloth/haul', ['haul' => str_repeat('wool ', 1_300_000)]);
        self::assertResponseStatusCodeSame(413);
        self::assertStringContainsString('Save it in parts.', self::says($page));
        self::assertLessThan(100_000, \strlen((string) $this->browser->getResponse()->getContent()));
        $this->get('/cloth/haul');
        $this->post('/cloth/haul', ['haul' => str_repeat('wool ', 1_000_000)]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testAnothersProjectIsNowhere(): void
    {
        $this->signInToDemo();
        $project = $this->project('Regatta dress');
        $this->browser->loginUser($this->account('other@example.org'));
        $claim = $project->current->claims[0]->id;
        foreach (['/enough/'.$claim, '/block', '', '/gate/'.$claim, '/change'] as $path) {
            $this->browser->request('GET', '/project/'.$project->id.$path);
            self::assertResponseStatusCodeSame(404, $path);
        }
    }
}
