<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Tests\PageTestCase;

final class PatternPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->account();
        $this->browser->loginUser($this->account);
    }

    public function testAPatternIsEnteredAsTheEnvelopePrintsIt(): void
    {
        $this->get('/patterns/new');
        $this->send('Save the pattern', [
            'title' => 'Towpath coat',
            'maker' => 'Marrowlane',
            'number' => 'T118',
            'otherNumbers' => 'K204, K871',
            'garment' => 'coat',
            'hours' => '16',
            'versionName' => 'C',
            'notions' => "4 buttons 25 mm\nshoulder pads",
            'units' => 'imperial',
            'sizes' => ['12', '14', '', ''],
            'rows' => [
                ['role' => 'main', 'width' => '45', 'nap' => 'without', 'cells' => ['2 5/8', '2¾', '', '']],
                ['role' => 'lining', 'width' => '60', 'nap' => 'either', 'cells' => ['1-1/2', '', '', '']],
            ],
            'editions' => [['name' => 'Envelope', 'sizes' => '12, 14', 'paper' => 'uncut']],
        ]);
        self::assertResponseRedirects();
        $pattern = $this->only();
        self::assertSame(
            [Garment::Coat, 960, ['K204', 'K871'], ['12', '14']],
            [$pattern->makes->garment, $pattern->makes->minutes, $pattern->label->otherNumbers, $pattern->keeping->editions[0]->sizes],
        );
        $table = $pattern->versions[0]->table;
        self::assertSame(['12', '14'], $table->sizes);
        self::assertSame(
            [[Role::Main, Nap::Without, 2_400_300], [Role::Lining, Nap::Either, 1_371_600]],
            array_map(static fn (Requirement $row): array => [$row->role, $row->nap, $row->cells['12']->micrometres], $table->rows),
        );
        self::assertSame(2_514_600, $table->rows[0]->cells['14']->micrometres);
        self::assertArrayNotHasKey('14', $table->rows[1]->cells);
        $page = self::says($this->get('/patterns/'.$pattern->id));
        self::assertStringContainsString('2.41 m', $page, '2⅝ yd, needed, rounded up');
    }

    public function testAReissueIsRecognisedBeforeItIsSaved(): void
    {
        $fields = ['title' => 'Towpath coat', 'maker' => 'Marrowlane', 'number' => 'K204', 'otherNumbers' => 'K871', 'versionName' => 'A'];
        $this->get('/patterns/new');
        $this->send('Save the pattern', $fields);
        self::assertResponseRedirects();
        $this->get('/patterns/new');
        $page = $this->send('Save the pattern', ['title' => 'Canal coat', 'number' => 'K871', 'otherNumbers' => ''] + $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString(
            'Number K871 is another number of Towpath coat (Marrowlane), which is owned: a reissue of the same pattern.',
            self::says($page),
        );
        self::assertCount(1, $this->workroom($this->account)->patterns);
        $this->send('Save the pattern', ['both' => '1']);
        self::assertResponseRedirects();
        self::assertCount(2, $this->workroom($this->account)->patterns);
    }

    public function testTheOtherHalfOfTheSizesIsACopyAndNotATwin(): void
    {
        $fields = ['title' => 'Towpath coat', 'maker' => 'Marrowlane', 'number' => 'K204', 'versionName' => 'A'];
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['editions' => [['name' => 'small half', 'sizes' => '8, 10, 12']]] + $fields);
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['editions' => [['name' => 'larger half', 'sizes' => '14, 16']]] + $fields);
        $this->send('It is a second copy of it: add it there', []);
        self::assertResponseRedirects();
        [$pattern] = $this->workroom($this->account)->patterns;
        self::assertSame([['8', '10', '12'], ['14', '16']], array_column($pattern->keeping->editions, 'sizes'));
        self::assertSame([true, true, false], array_map($pattern->holdsSize(...), ['8', '16', '18']));
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('larger half', self::says($page));
        $this->send('undo', []);
        self::assertCount(1, $this->workroom($this->account)->patterns[0]->keeping->editions);
        $this->get('/patterns/new');
        $this->post('/patterns/new', ['copyOf' => 'nobody’s'] + $fields);
        self::assertResponseStatusCodeSame(404);
    }

    public function testAWholeTableIsPastedInOneGo(): void
    {
        $pasted = "\t\t8\t10\t12\nmain\t115 cm\t2,45\t2,50\t2,55\n\t150 cm\t1.95\t2\t2.05\nlining\t140\t1.6\t1.6\t1.7";
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['title' => 'Coat', 'versionName' => 'A', 'pasted' => $pasted]);
        self::assertResponseRedirects();
        $table = $this->only()->versions[0]->table;
        self::assertSame(['8', '10', '12'], $table->sizes);
        self::assertCount(3, $table->rows);
        self::assertSame(2_550_000, $table->rows[0]->cells['12']->micrometres);
        $this->get('/patterns/new');
        $this->post('/patterns/table/read', ['pasted' => $pasted]);
        $grid = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($grid);
        self::assertSame(
            ['role' => 'main', 'width' => '150 cm', 'nap' => 'without', 'cells' => ['1.95', '2', '2.05']],
            ((array) $grid['rows'])[1],
        );
    }

    public function testACellThatIsNoLengthIsNamedAndTheWholeTableKept(): void
    {
        $this->get('/patterns/new');
        $page = $this->send('Save the pattern', [
            'title' => 'Coat',
            'versionName' => 'A',
            'sizes' => ['12', '14', '14', ''],
            'rows' => [['role' => 'main', 'width' => '115', 'nap' => 'either', 'cells' => ['lots', '2.7', '', '']]],
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Row 1: “lots” cannot be read as a length', self::says($page));
        self::assertStringContainsString('A size stands here twice', self::says($page));
        self::assertSame(['lots', '2.7'], \array_slice($page->filter('[name^="rows[0][cells]"]')->extract(['value']), 0, 2));
        self::assertSame([], $this->workroom($this->account)->patterns);
    }

    public function testVersionsAreAddedChangedAndTakenOutWithUndo(): void
    {
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['title' => 'Coat', 'versionName' => 'A']);
        $id = $this->only()->id;
        $this->get('/patterns/'.$id.'/versions/new');
        $this->send('Save the version', [
            'versionName' => 'B',
            'versionHours' => '2 h 30',
            'sizes' => ['S'],
            'rows' => [['role' => 'main', 'width' => '140', 'nap' => 'with', 'cells' => ['1.4']]],
        ]);
        self::assertSame(['A', 'B'], array_column($this->only()->versions, 'name'));
        self::assertSame(150, $this->only()->versions[1]->minutes);
        $before = $this->only();
        $this->get('/versions/'.$before->versions[1]->id);
        $this->send('Save the version', []);
        self::assertEquals($before, $this->only(), 'saved unchanged, it stays the same');
        $tab = $this->get('/versions/'.$before->versions[1]->id)
            ->selectButton('Save the version')
            ->form();
        $this->send('Save the version', ['versionName' => 'B, long']);
        $page = $this->browser->request('POST', $tab->getUri(), array_replace($tab->getPhpValues(), ['versionName' => 'B, short']));
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('changed somewhere else', self::says($page));
        $this->get('/patterns/'.$id);
        $this->post('/versions/'.$before->versions[1]->id.'/remove');
        self::assertCount(1, $this->only()->versions);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame(['A', 'B, long'], array_column($this->only()->versions, 'name'));
    }

    public function testTheListIsByGarmentAndFound(): void
    {
        $this->signInToDemo();
        $titles = fn (string $query): array => $this->get('/patterns'.$query)
            ->filter('.sheet tbody tr td:nth-child(2) a')
            ->each(static fn ($cell): string => $cell->text());
        self::assertSame(['Mizzle cape', 'Towpath coat'], $titles('?garment=coat'));
        self::assertSame(['Evensong dress'], $titles('?words=k871'), 'by a reissue’s number');
        self::assertSame('Reedling blouse', $titles('')[0]);
        self::assertStringContainsString('No pattern is like that', self::says($this->get('/patterns?words=moonbeam')));
    }

    public function testRemovingIsUndone(): void
    {
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['title' => 'Coat', 'versionName' => 'A']);
        $this->get('/patterns/'.$this->only()->id);
        $this->send('Take it out of the library', []);
        self::assertSame([], $this->workroom($this->account)->patterns);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame('Coat', $this->only()->title);
    }

    /** @phpstan-impure */
    private function only(): Pattern
    {
        $patterns = $this->workroom($this->account)->patterns;
        self::assertCount(1, $patterns);

        return $patterns[0];
    }

    public function testWhatAPatternSaysOfClothAndTechniquesIsKept(): void
    {
        $this->get('/patterns/new');
        $this->send('Save the pattern', [
            'title' => 'Blouse',
            'recommended' => 'lawn, crepe',
            'stretchLeast' => '30',
            'lightest' => 'light',
            'mostFluid' => 'fluid',
            'notFor' => 'plaids',
            'techniques' => ['gathers' => '1', 'collar' => '1', 'nonsense' => '1'],
            'editions' => [['name' => 'Envelope', 'missing' => 'cuff facing']],
        ]);
        $pattern = $this->only();
        self::assertSame([Technique::Collar, Technique::Gathers], $pattern->makes->techniques);
        self::assertEquals(
            new ClothAdvice('lawn, crepe', 30, WeightClass::Light, null, null, Drape::Fluid, 'plaids'),
            $pattern->makes->advice,
        );
        $page = self::says($this->get('/patterns/'.$pattern->id));
        self::assertStringContainsString('lacks cuff facing', $page);
        self::assertStringContainsString('at least 30 % across', $page);
        self::assertStringContainsString('lawn, crepe', self::says($this->get('/patterns/'.$pattern->id.'/card')));
    }

    public function testAlterationsAreKeptForAPersonAndSurviveTheForm(): void
    {
        $account = $this->signInToDemo();
        $page = $this->get('/patterns?words=towpath');
        $page = $this->browser->click($page->selectLink('Towpath coat')->link());
        self::assertStringContainsString('Lengthen the body by 3 cm, the lay 6 cm longer drawn on the paper', self::says($page));
        $page = $this->browser->click($page->selectLink('Change them')->link());
        $faulty = $this->send('Keep the alterations', ['rows' => [2 => ['name' => 'Shorter sleeves']]]);
        self::assertStringContainsString('Choose who this is for', self::says($faulty));
        self::assertSame('Shorter sleeves', $faulty->filter('[name="rows[2][name]"]')->attr('value'));
        $who = $faulty->filter('[name="rows[2][person]"] option')->last()->attr('value');
        $this->send('Keep the alterations', ['rows' => [1 => ['name' => '', 'length' => ''], 2 => ['person' => $who]]]);
        $page = $this->browser->followRedirect();
        $this->browser->click($page->selectLink('Change')->link());
        $this->send('Save the pattern', ['notes' => 'Sews well.']);
        $names = array_map(
            static fn (KeptAlteration $kept): string => $kept->name,
            array_values(
                array_filter($this->workroom($account)->patterns, static fn (Pattern $pattern): bool => 'Towpath coat' === $pattern->title),
            )[0]->alterations,
        );
        self::assertSame(['Lengthen the body by 3 cm', 'Shorter sleeves'], $names);
    }

    public function testPatternsAreChosenByWhatTheyDoNotAskFor(): void
    {
        $this->signInToDemo();
        $page = $this->get('/patterns?garment=shirt&without[buttonholes]=1');
        self::assertSame(
            ['Smokehouse overshirt'],
            $page->filter('.sheet tbody td:nth-child(2) a')->each(static fn ($node): string => $node->text()),
        );
        self::assertStringContainsString('shirt (1)', $page->filter('#garment')->text(), 'the counts follow the filter');
        self::assertSame(
            'Lock-keeper trousers',
            $this->get('/patterns?words=lokkeeper')->filter('.sheet tbody td:nth-child(2) a')->first()->text(),
            'a slip is forgiven',
        );
        $this->get('/patterns?without=x&words[]=y&page=-3');
    }

    public function testThePatternPageTellsWhereItIsPlanned(): void
    {
        $this->signInToDemo();
        $page = $this->get('/patterns?words=evensong');
        $page = $this->browser->click($page->selectLink('Evensong dress')->link());
        self::assertStringContainsString('Choir dress Thaw', self::says($page, '#history'));
    }
}
