<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class ClothPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->account();
        $this->browser->loginUser($this->account);
    }

    public function testAFilterOfAnyLengthIsComeBackToInAHeaderThatCanBeSent(): void
    {
        $this->signInToDemo();
        $this->get('/cloth');
        $this->post('/cloth/bulk', ['query' => 'words='.str_repeat('🧵', 5_000)]);
        self::assertResponseRedirects();
        self::assertLessThan(8_000, \strlen((string) $this->browser->getResponse()->headers->get('Location')));
    }

    public function testANameALengthAndAWidthAreEnough(): void
    {
        $this->enter(['name' => 'Moss linen', 'width' => '140', 'cuts' => [['length' => '1 5/8 yd']]]);
        $cloth = $this->only();
        self::assertSame(
            ['Moss linen', 1_400_000, 1_485_900],
            [$cloth->name, $cloth->width?->full->micrometres, $cloth->cuts[0]->length?->micrometres],
        );
        self::assertStringContainsString(
            '1.34 m usable',
            self::says($this->get('/cloth/'.$cloth->id)),
            '(1.4859 − 0.06) × 0.94, fibre unknown',
        );
    }

    public function testSeveralCutsStayApart(): void
    {
        $this->get('/cloth/new');
        $this->send('Save the cloth', [
            'name' => 'Quarry tweed',
            'width' => '146 cm',
            'cuts' => [['length' => '1.80', 'washed' => '1'], ['length' => '1.65', 'washed' => '1'], ['length' => '', 'label' => '']],
        ]);
        $cloth = $this->only();
        self::assertCount(2, $cloth->cuts);
        $page = self::says($this->get('/cloth/'.$cloth->id));
        self::assertStringContainsString('1.74 m usable', $page);
        self::assertStringContainsString('1.59 m usable', $page);
        self::assertStringContainsString('Each cut counts alone', $page);
    }

    public function testTheFormShowsBackWhatIsStored(): void
    {
        $entered = [
            'name' => 'Kelp twill',
            'width' => '54 in',
            'selvage' => '2 cm',
            'structure' => 'woven',
            'type' => 'twill',
            'fibres' => '97 cotton, 3 elastane',
            'fibresKnown' => 'label',
            'grams' => '260',
            'print' => 'check',
            'direction' => 'one-way',
            'repeat' => '8 cm',
            'shrinkAlong' => '2.5',
            'shrinkAcross' => '1',
            'colour1' => '#3c4f3f',
            'colour2' => '#aabbcc',
            'place' => 'Locker 4',
            'price' => '12.80',
            'more' => 'no',
            'setAside' => '1',
            'notes' => "two\nlines",
        ];
        $this->enter($entered);
        $page = $this->get('/cloth/'.$this->only()->id.'/edit');
        foreach ($entered as $field => $value) {
            $node = $page->filter('[name='.$field.']');
            $shown = match ($node->nodeName()) {
                'textarea' => $node->text(null, false),
                'select' => $node->filter('option[selected]')->attr('value'),
                default => 'checkbox' === $node->attr('type') ? (null === $node->attr('checked') ? '' : '1') : $node->attr('value'),
            };
            self::assertSame($value, $shown, $field);
        }
        $before = $this->only();
        $this->send('Save the cloth', []);
        self::assertResponseRedirects();
        self::assertEquals($before, $this->only(), 'saved unchanged, it stays the same');
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('nonsense')]
    public function testBadInputGetsASentenceAndIsKept(array $fields, string $sentence): void
    {
        $this->get('/cloth/new');
        $page = $this->send('Save the cloth', $fields + ['name' => 'Lawn']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($sentence, self::says($page));
        self::assertStringContainsString('Nothing is saved yet', self::says($page));
        self::assertSame([], $this->workroom($this->account)->cloths);
        foreach ($fields as $name => $value) {
            if (\is_string($value) && mb_strlen($value) < 200) {
                self::assertSame($value, $page->filter('[name='.$name.']')->attr('value'));
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'no name' => [['name' => '   '], 'A name is missing'];
        yield 'a negative width' => [['width' => '-140'], 'below zero'];
        yield 'a width of nothing' => [['width' => '0'], 'more than zero'];
        yield 'forty kilometres' => [['cuts' => [['length' => '40000 m']]], 'longer than any bolt'];
        yield 'a width for a hangar' => [['width' => '9 m'], '9.00 m is no width of a cloth'];
        yield 'metres typed where centimetres were meant' => [['width' => '1.4 cm'], 'type one from 20 to 330 cm'];
        yield 'emoji' => [['width' => '🧵🧵'], 'cannot be read as a length'];
        yield 'a tag' => [['width' => '<script>alert(1)</script>'], 'cannot be read as a length'];
        yield 'fibres of 120 %' => [['fibres' => '80 cotton 40 linen'], 'add up to 120 %'];
        yield 'a weight of nothing' => [['grams' => '0'], 'type a whole number from 5 to 2000'];
        yield 'a huge name' => [['name' => str_repeat('a', 5000)], 'This has 5000 characters; 120 can be kept'];
        yield 'a price in words' => [['price' => 'cheap'], 'cannot be read as a price'];
        yield 'a colour nobody knows' => [['colour1' => 'sparkle'], '“sparkle” is not a colour known here'];
        yield 'a shrinkage of 300 %' => [['shrinkAlong' => '300'], '300 % is not a share'];
        yield 'a selvage without a width' => [['selvage' => '2 cm'], 'The selvage is taken from the width'];
        yield 'selvages wider than the cloth' => [['width' => '25 cm', 'selvage' => '13 cm'], 'leave nothing'];
    }

    public function testFieldsOfAStrangeShapeDoNoHarm(): void
    {
        $this->get('/cloth/new');
        $this->post('/cloth/new', ['name' => ['a' => 'b'], 'width' => [['x']], 'cuts' => 'all', 'structure' => ['q']]);
        self::assertResponseStatusCodeSame(422);
        $this->post('/cloth/new', ['name' => "Lawn\xff\x00", 'cuts' => [['length' => ['deep']]]]);
        self::assertResponseRedirects();
        $this->get('/cloth?length[]=1&sort[]=x&page=-5&structure=zzz&words=%00%ff');
        $this->get('/cloth?length=lots');
    }

    public function testTextIsNeverRunAsMarkup(): void
    {
        $evil = '"><script>alert(1)</script>{{7*7}}';
        $this->enter([
            'name' => $evil,
            'place' => $evil,
            'notes' => $evil,
            'width' => '140',
            'cuts' => [['length' => '2', 'label' => $evil]],
        ]);
        $id = $this->only()->id;
        foreach (['/cloth', '/cloth/'.$id, '/cloth/'.$id.'/edit', '/find?q=script'] as $path) {
            $this->get($path);
            $html = (string) $this->browser->getResponse()->getContent();
            self::assertStringNotContainsString('<script>alert', $html, $path);
            self::assertStringContainsString('{{7*7}}', $html);
        }
    }

    public function testMeasuringWashingAndGivingAwayAreWrittenIntoTheLedgerAndUndone(): void
    {
        $this->enter(['name' => 'Lawn', 'width' => '140', 'fibres' => 'cotton', 'cuts' => [['length' => '2.5']]]);
        $id = $this->only()->id;
        $this->write($id, ['kind' => 'washed']);
        self::assertFalse($this->only()->cuts[0]->settled);
        $this->write($id, ['kind' => 'measured', 'length' => '2.41', 'note' => 'after a hot wash']);
        self::assertSame(2_410_000, $this->only()->cuts[0]->length?->micrometres);
        self::assertTrue($this->only()->cuts[0]->settled);
        $this->write($id, ['kind' => 'given away']);
        self::assertTrue($this->only()->cuts[0]->gone);
        self::assertSame(
            [LedgerKind::Bought, LedgerKind::Washed, LedgerKind::Measured, LedgerKind::GivenAway],
            array_column($this->only()->cuts[0]->ledger, 'kind'),
        );
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertFalse($this->only()->cuts[0]->gone, 'undone from the toast');
        $this->get('/cloth/'.$id);
        $this->send('Undo the last entry', []);
        self::assertCount(2, $this->only()->cuts[0]->ledger);
    }

    public function testMeasuringAgainWithoutALengthAsksForIt(): void
    {
        $this->enter(['name' => 'Lawn', 'cuts' => [['length' => '2.5']]]);
        $this->get('/cloth/'.$this->only()->id);
        $page = $this->send('Save this entry', ['kind' => 'measured', 'length' => '', 'note' => 'for a collar']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('The length is missing: type what the tape says', self::says($page));
        self::assertSame('for a collar', $page->filter('form[action$=ledger] [name=note]')->attr('value'));
        self::assertSame('measured', $page->filter('details[open] > form [name=kind]')->attr('value'), 'its form is open');
    }

    public function testTwoTabsOnOneCut(): void
    {
        $this->enter(['name' => 'Lawn', 'cuts' => [['length' => '2.5']]]);
        $id = $this->only()->id;
        $tab = $this->get('/cloth/'.$id)
            ->selectButton('Save this entry')
            ->form();
        $this->write($id, ['kind' => 'measured', 'length' => '2.3']);
        $page = $this->browser->request(
            'POST',
            $tab->getUri(),
            array_merge($tab->getPhpValues(), ['kind' => 'measured', 'length' => '2.1 m', 'note' => 'the other tab']),
        );
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('changed somewhere else since you opened it', self::says($page));
        self::assertSame('2.1 m', $page->filter('form[action$=ledger] [name=length]')->attr('value'), 'what was typed is kept');
        self::assertSame(2_300_000, $this->only()->cuts[0]->length?->micrometres);
        $this->send('Save', []);
        self::assertResponseRedirects();
        self::assertSame(2_100_000, $this->only()->cuts[0]->length?->micrometres, 'saved again, it takes its place');
    }

    public function testTwoTabsOnOneCloth(): void
    {
        $this->enter(['name' => 'Lawn']);
        $id = $this->only()->id;
        $tab = $this->get('/cloth/'.$id.'/edit')
            ->selectButton('Save the cloth')
            ->form();
        $this->send('Save the cloth', ['place' => 'Locker 1']);
        $this->browser->request('POST', $tab->getUri(), array_merge($tab->getPhpValues(), ['place' => 'Locker 2']));
        self::assertResponseStatusCodeSame(409);
        self::assertSame('Locker 1', $this->only()->keeping->place);
        $this->send('Save the cloth', []);
        self::assertSame('Locker 2', $this->only()->keeping->place);
    }

    public function testAnOrderedCutArrives(): void
    {
        $this->enter(['name' => 'Lawn', 'cuts' => [['length' => '2', 'ordered' => '1', 'expected' => '2027-04-01']]]);
        $cut = $this->only()->cuts[0];
        self::assertSame([CutState::Ordered, '2027-04-01'], [$cut->state, $cut->expected?->format('Y-m-d')]);
        $this->get('/cloth/'.$this->only()->id);
        $this->send('It has arrived', []);
        self::assertSame(CutState::Arrived, $this->only()->cuts[0]->state);
    }

    public function testRemovingIsUndone(): void
    {
        $this->enter(['name' => 'Lawn', 'cuts' => [['length' => '2']]]);
        $id = $this->only()->id;
        $this->get('/cloth/'.$id);
        $this->send('Take this cut out', []);
        self::assertSame([], $this->only()->cuts);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertCount(1, $this->only()->cuts);
        $this->get('/cloth/'.$id);
        $this->send('Take it out of the stash', []);
        self::assertSame([], $this->workroom($this->account)->cloths);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame('Lawn', $this->only()->name);
    }

    public function testTheListIsSortedAndFiltered(): void
    {
        $this->signInToDemo();
        $names = fn (string $query): array => $this->get('/cloth'.$query)
            ->filter('.sheet tbody tr td:nth-child(2)')
            ->each(static fn ($cell): string => $cell->text());
        self::assertSame('Toile cotton', $names('')[0], 'the longest first');
        self::assertSame(['Moss linen'], $names('?words=linen+locker+1&length=2.5+m'));
        self::assertSame(
            ['Drizzle boiled wool', 'Tar coating'],
            array_values(array_intersect(['Drizzle boiled wool', 'Tar coating'], $names('?aside=1'))),
        );
        self::assertContains('Rowan dot jersey', $names('?kind=knit&width=1.6+m'));
        self::assertNotContains('Heron lawn', $names('?width=150'));
        self::assertStringContainsString('No cloth is like that', self::says($this->get('/cloth?words=moonbeam')));
        foreach (['width', 'kind', 'colour', 'place', 'name'] as $sort) {
            self::assertCount(40, $names('?sort='.$sort));
        }
    }

    public function testALengthIsShownBackWhileItIsTyped(): void
    {
        foreach (
            [
                'text=1+5/8+yd&unit=m' => ['understood' => true, 'millimetres' => 1485.9, 'text' => '1.48 m (1⅝ yd)'],
                'text=54+in&unit=cm&as=width' => ['understood' => true, 'millimetres' => 1371.6, 'text' => '137 cm (54 in)'],
                'text=lots&unit=m' => [
                    'understood' => false,
                    'text' => '“lots” cannot be read as a length: type one such as 1.4 m, 140 cm, 1 5/8 yd or 62 in.',
                ],
            ] as $query => $answer
        ) {
            $this->browser->request('GET', '/read/length?'.$query);
            self::assertSame($answer, json_decode((string) $this->browser->getResponse()->getContent(), true));
        }
    }

    /** @param array<string, mixed> $fields */
    private function enter(array $fields): void
    {
        $this->get('/cloth/new');
        $this->send('Save the cloth', $fields);
        self::assertResponseRedirects();
    }

    /** @param array<string, string> $fields */
    private function write(string $cloth, array $fields): void
    {
        $this->get('/cloth/'.$cloth);
        $this->send('Save this entry', $fields);
        self::assertResponseRedirects();
    }

    /** @phpstan-impure */
    private function only(): Cloth
    {
        $cloths = $this->workroom($this->account)->cloths;
        self::assertCount(1, $cloths);

        return $cloths[0];
    }

    public function testTheCountsFollowTheFilterAndColoursNearOneAreFound(): void
    {
        $this->signInToDemo();
        $page = $this->get('/cloth?kind=knit&place=locker+4');
        self::assertStringContainsString('knit ('.$page->filter('.sheet tbody tr')->count().')', $page->filter('#kind')->text());
        $near = $this->get('/cloth?colour=navy');
        self::assertStringContainsString('Midnight sateen', $near->filter('.sheet tbody')->text());
        self::assertLessThan(20, $near->filter('.sheet tbody tr')->count());
        self::assertStringContainsString('is not a colour known here', self::says($this->get('/cloth?colour=gloom')));
        $free = $this->get('/cloth?free=1&words=heron');
        self::assertStringContainsString('No cloth is like that', self::says($free), 'the Heron lawn is claimed');
    }

    public function testAFilterIsKeptUsedAndTakenOut(): void
    {
        $account = $this->signInToDemo();
        $this->get('/cloth?words=linen&length=2.5+m');
        $this->send('Save', ['name' => 'long linens {x} <b>']);
        $page = $this->browser->followRedirect();
        $kept = fn (): array => $this->fresh($account)->filters;
        self::assertSame(['long linens {x} <b>' => 'words=linen&length=2.5+m'], $kept());
        $page = $this->browser->click($page->selectLink('long linens {x} <b>')->link());
        self::assertStringContainsString('Moss linen', self::says($page));
        $this->browser->submit($page->filter('.saved-filters form')->form());
        self::assertSame([], $kept());
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame(['words=linen&length=2.5+m'], array_values($kept()));
    }

    public function testSeveralClothsAreMovedWashedAndTakenOutAtOnceAndPutBack(): void
    {
        $account = $this->signInToDemo();
        $before = $this->workroom($account);
        $ids = array_map(static fn (Cloth $cloth): string => $cloth->id, \array_slice($before->cloths, 0, 3));
        foreach ([['move', 'Loft / box 9'], ['washed', ''], ['set', 'Thaw palette'], ['aside', ''], ['remove', '']] as [$what, $text]) {
            $this->get('/cloth');
            $this->post('/cloth/bulk', ['cloths' => $ids, 'what' => $what, 'text' => $text, 'query' => 'sort=name']);
            self::assertResponseRedirects('/cloth?sort=name');
            $cloths = array_values(
                array_filter($this->workroom($account)->cloths, static fn (Cloth $cloth): bool => \in_array($cloth->id, $ids, true)),
            );
            self::assertCount('remove' === $what ? 0 : 3, $cloths);
            foreach ($cloths as $cloth) {
                self::assertTrue(
                    match ($what) {
                        'move' => 'Loft / box 9' === $cloth->keeping->place,
                        'washed' => [] === array_filter($cloth->cuts, static fn (Cut $cut): bool => !$cut->gone && !$cut->washed),
                        'set' => 'Thaw palette' === $cloth->keeping->set,
                        default => $cloth->keeping->setAside,
                    },
                );
            }
            $this->browser->followRedirect();
            self::assertStringContainsString('3 cloths are changed', self::says($this->browser->getCrawler()));
            $this->send('undo', []);
            self::assertEquals($before->cloths, $this->workroom($account)->cloths, $what.' is undone');
        }
    }

    public function testChangingManyWithoutAnyOrAnothersChangesNothing(): void
    {
        $other = $this->workroom($this->demo())->cloths[0];
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Moss linen']);
        $this->get('/cloth');
        $this->post('/cloth/bulk', ['what' => 'remove']);
        self::assertStringContainsString('tick the cloths first', self::says($this->browser->followRedirect()));
        $this->post('/cloth/bulk', ['what' => 'remove', 'cloths' => [$other->id]]);
        self::assertStringContainsString('tick the cloths first', self::says($this->browser->followRedirect()));
        $this->send('Do it', ['what' => 'move', 'cloths' => [$this->only()->id]]);
        self::assertStringContainsString('type where they are to be kept', self::says($this->browser->followRedirect()));
        self::assertEquals($other, $this->workroom($this->demo())->cloths[0]);
    }
}
