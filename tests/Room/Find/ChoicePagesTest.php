<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Find;

use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Fields in which a cut or a version is chosen. */
final class ChoicePagesTest extends PageTestCase
{
    /** @param list<string> $names the first of what is listed */
    #[DataProvider('typed')]
    public function testTheBestMatchesAreListedFirst(string $what, string $typed, array $names): void
    {
        $this->signInToDemo();
        $page = $this->get('/choose/'.$what.'?'.http_build_query(['q' => $typed]));
        self::assertSame($names, \array_slice($page->filter('[role=option] b')->extract(['_text']), 0, \count($names)));
        self::assertSame([] === $names, 0 === $page->filter('[role=option]')->count());
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function typed(): iterable
    {
        yield 'a part of a name' => ['cut', 'heron', ['Heron lawn']];
        yield 'with a slip' => ['cut', 'hern', ['Heron lawn']];
        yield 'not to its end, with a slip' => ['cut', 'hreo', ['Heron lawn']];
        yield 'by its kind' => ['cut', 'ponte', ['Plum ponte']];
        $both = ['Lock-keeper trousers, straight', 'Lock-keeper trousers, wide'];
        yield 'a version by a slip and a beginning' => ['version', 'lok tr', $both];
        yield 'a version by its garment, with a slip' => ['version', 'trowsers', ['Lock-keeper trousers, straight']];
        yield 'not there' => ['cut', 'zzzzzz', []];
    }

    public function testACutSaysWhatIsFreeOfItAndForWhomTheRestIs(): void
    {
        $this->signInToDemo();
        $row = $this->get('/choose/cut?q=heron')->filter('[role=option]')->first();
        self::assertSame('Heron lawn, 2.44 m, 137 cm', $row->attr('data-name'));
        self::assertStringContainsString('all reserved, 137 cm wide · for Heron skirt, Allotment shorts', $row->text());
        self::assertStringContainsString('Nothing is called that', $this->get('/choose/cut?q=zzzzzz')->filter('.none')->text());
    }

    public function testNothingTypedListsTheMostFreeAndNoneThatIsGone(): void
    {
        $this->signInToDemo();
        $names = $this->get('/choose/cut')->filter('[role=option]')->each(static fn ($row): string => (string) $row->attr('data-name'));
        self::assertCount(10, $names);
        self::assertStringNotContainsString('no longer here', implode('', $names));
    }

    public function testAnotherAccountsClothIsNeverListed(): void
    {
        $this->signInToDemo();
        $this->browser->loginUser($this->account());
        self::assertCount(0, $this->get('/choose/cut')->filter('[role=option]'));
        self::assertCount(0, $this->get('/choose/version?q=trousers')->filter('[role=option]'));
    }

    public function testTheNameOfAClothTypedInFullIsThatCloth(): void
    {
        $this->signInToDemo();
        self::assertStringContainsString('Heron lawn', self::says($this->get('/match?q=heron+lawn'), 'h1'));
        self::assertStringContainsString('Reserved for Heron skirt', self::says($this->get('/match?q=heron+lawn'), '.doubt'));
        $nearly = $this->get('/match?q=hreon+lawn')->filter('.nearly');
        self::assertStringContainsString('Did you mean a cloth you have? Heron lawn', $nearly->text(), 'a slip is asked, never taken');
    }

    public function testAVersionThatIsNotCertainIsAsked(): void
    {
        $this->signInToDemo();
        self::assertStringContainsString(
            '“trousers” may be K310 Lock-keeper trousers',
            self::says($this->get('/match/pattern?q=trousers'), '.fault'),
        );
        self::assertStringContainsString('“tousers” may be', self::says($this->get('/table?name=tousers'), '.fault'));
        self::assertStringContainsString('There is no version called “zzz”', self::says($this->get('/match/pattern?q=zzz'), '.fault'));
    }
}
