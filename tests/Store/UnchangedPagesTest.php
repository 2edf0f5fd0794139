<?php

declare(strict_types=1);

namespace Octavum\Tests\Store;

use Octavum\Store\Plan\LaySettler;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** A page that the browser has is answered in a word, until anything it may show is another. */
final class UnchangedPagesTest extends PageTestCase
{
    public function testAPageIsNotSentTwiceWhileNothingChanges(): void
    {
        // figures that are still being laid are asked for anew
        $this->service(LaySettler::class)->settle($this->signInToDemo());
        foreach (['/season', '/cloth', '/patterns', '/shopping', '/people', '/project/'.$this->project('Choir dress')->id] as $path) {
            $tag = $this->tag($path);
            $this->ask($path, $tag);
            self::assertResponseStatusCodeSame(304, $path);
            self::assertSame('', $this->browser->getResponse()->getContent());
            self::assertFalse($this->browser->getResponse()->headers->has('Content-Security-Policy'), 'it would be of other scripts');
        }
    }

    /** @param array<string, string> $fields */
    #[DataProvider('changes')]
    public function testAfterAnyChangeItIsMadeAnew(string $path, array $fields): void
    {
        $this->signInToDemo();
        $tag = $this->tag('/cloth');
        $this->get('/season');
        $this->post(str_replace('PROJECT', $this->project('Choir dress')->id, $path), $fields);
        $this->ask('/cloth', $tag);
        self::assertResponseIsSuccessful();
    }

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function changes(): iterable
    {
        yield 'a project' => ['/project/PROJECT/move', []];
        yield 'what came to nothing may say something' => ['/cloth/new', []];
        yield 'the first steps' => ['/season/first-steps/close', []];
    }

    public function testWhatIsOnlyReadAsOneTypesChangesNothing(): void
    {
        $this->signInToDemo();
        $tag = $this->tag('/cloth');
        $this->post('/cloth/haul/read', ['haul' => '1 m lawn']);
        $this->ask('/cloth', $tag);
        self::assertResponseStatusCodeSame(304);
    }

    public function testWordsThatAreSaidOnceAreNotSaidAgain(): void
    {
        $this->signInToDemo();
        $this->tag('/season');
        $this->post('/project/'.$this->project('Choir dress')->id.'/move', ['back' => '/cloth']);
        $page = $this->browser->followRedirect();
        self::assertCount(1, $page->filter('.toast'));
        self::assertFalse($this->browser->getResponse()->headers->has('ETag'));
        self::assertCount(0, $this->get('/cloth')->filter('.toast'));
    }

    public function testAWorkroomThatIsReplacedByACommandIsShown(): void
    {
        $account = $this->signInToDemo();
        $tag = $this->tag('/cloth');
        $workrooms = $this->service(Workrooms::class);
        $workrooms->replace($this->fresh($account), $workrooms->load($account));
        $this->ask('/cloth', $tag);
        self::assertResponseIsSuccessful();
    }

    public function testAnotherSessionAndAnotherAccountHaveTheirOwn(): void
    {
        $this->signInToDemo();
        $tag = $this->tag('/cloth');
        $this->browser->loginUser($this->account());
        $this->ask('/cloth', $tag);
        self::assertResponseIsSuccessful();
        self::assertStringNotContainsString('Heron lawn', (string) $this->browser->getResponse()->getContent());
    }

    private function tag(string $path): string
    {
        // the first look at a season keeps how it stands
        $this->get($path);
        $this->get($path);

        return (string) $this->browser->getResponse()->headers->get('ETag');
    }

    private function ask(string $path, string $tag): void
    {
        self::assertNotSame('', $tag, $path);
        $this->browser->request('GET', $path, server: ['HTTP_IF_NONE_MATCH' => $tag]);
    }
}
