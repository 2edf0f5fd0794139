<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class OptionPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testAnOptionIsAddedFromWhatLeadsAndClaimsNothing(): void
    {
        $before = $this->promised();
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id.'/option/new');
        self::assertSame('14', $this->browser->getCrawler()->filter('[name=size]')->attr('value'), 'as what leads');
        $this->send('Save the option', ['size' => '16', 'when' => 'Ottoline is measured again']);
        self::assertResponseRedirects('/project/'.$coat->id.'/cloth');
        $option = $this->project('Towpath coat')->openOptions()[2];
        self::assertSame(['C', '16', 'Ottoline is measured again'], [$option->version?->name, $option->size, $option->when]);
        self::assertSame(
            ['Reed canvas', 'Grandmother’s lining'],
            array_map(static fn (Claim $claim): ?string => $claim->cloth?->name, $option->claims),
        );
        self::assertSame('14', $this->project('Towpath coat')->current->size);
        self::assertSame($before, $this->promised());
        $page = self::says($this->get('/project/'.$coat->id), '#options');
        self::assertStringContainsString('C, size 16, from Reed canvas', $page);
        self::assertStringContainsString('only if Ottoline is measured again', $page);
    }

    public function testTakingAnOptionChangesPlacesAndIsUndone(): void
    {
        $coat = $this->project('Towpath coat');
        [$shorter] = $coat->openOptions();
        $this->get('/project/'.$coat->id);
        $this->take($coat, $shorter, ['reason' => 'The canvas is short.']);
        $taken = $this->project('Towpath coat');
        self::assertSame('A, short', $taken->current->version?->name);
        self::assertSame([], $taken->openOptions(), 'the others are in the history');
        self::assertSame(
            ['C', 'B, belted'],
            array_map(static fn (Option $option): ?string => $option->version?->name, $taken->pastOptions()),
        );
        self::assertSame('The canvas is short.', $taken->log->decisions[0]->reason);
        $page = $this->browser->followRedirect();
        $undo = $this->undo();
        self::assertStringContainsString(
            'A, short, size 14, from Reed canvas was taken instead of C, size 14, from Reed canvas.',
            self::says($this->get('/project/'.$coat->id.'/notes'), '#history'),
        );
        self::assertStringContainsString('13 cm to spare', self::says($page, '#role-1'));
        self::assertCount(1, $this->promised()[$coat->current->claims[0]->cut->id ?? '']);
        $this->post($undo);
        self::assertEquals($coat, $this->project('Towpath coat'));
    }

    public function testTheOthersStayOpenWhenTheyShall(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id);
        $this->take($coat, $coat->openOptions()[1], ['keep' => '1']);
        $taken = $this->project('Towpath coat');
        self::assertSame('B, belted', $taken->current->version?->name);
        self::assertSame('', $taken->current->when, 'it hangs on nothing any more');
        self::assertCount(2, $taken->openOptions());
    }

    public function testATabThatWasOpenedBeforeTakesNothing(): void
    {
        $coat = $this->project('Towpath coat');
        $page = $this->get('/project/'.$coat->id);
        $revision = (string) $page->filter('[name=revision]')->first()->attr('value');
        [$shorter, $belted] = $coat->openOptions();
        $this->take($coat, $shorter);
        $after = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id);
        $this->take($coat, $belted, ['revision' => $revision]);
        self::assertEquals($after, $this->project('Towpath coat'));
        self::assertStringContainsString('was changed since this page was opened', self::says($this->browser->followRedirect()));
    }

    public function testTheSeasonSaysWhatEachOptionWouldComeTo(): void
    {
        $coat = $this->project('Towpath coat');
        $page = $this->get('/season/'.$coat->season->id.'/workings');
        $says = self::says($page, '#working-'.$coat->id);
        self::assertStringContainsString('Other options', $says);
        self::assertMatchesRegularExpression('/A, short, size 14, from Reed canvas : main fits 13 cm to spare/', $says);
        $slip = $this->project('Moth slip');
        self::assertStringNotContainsString('Other options', self::says($page, '#working-'.$slip->id));
    }

    public function testLettingGoIsAnOrdinaryActAndComesBack(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id);
        $path = '/project/'.$coat->id.'/option/'.$coat->openOptions()[0]->id;
        $this->post($path.'/let-go');
        self::assertCount(1, $this->project('Towpath coat')->pastOptions());
        self::assertStringContainsString('A, short, size 14', self::says($this->get('/project/'.$coat->id.'/notes'), '#history'));
        $this->post($path.'/back');
        self::assertEquals($coat, $this->project('Towpath coat'));
        $this->get('/project/'.$coat->id);
        $this->post($path.'/remove');
        $undo = $this->offeredUndo();
        self::assertCount(1, $this->project('Towpath coat')->others);
        $this->get('/project/'.$coat->id);
        $this->post($undo);
        self::assertEquals($coat, $this->project('Towpath coat'));
    }

    public function testAnOptionIsChangedAndTheChangeUndone(): void
    {
        $coat = $this->project('Towpath coat');
        $option = $coat->openOptions()[1];
        $this->get('/project/'.$coat->id.'/option/'.$option->id);
        $this->send('Save the option', ['size' => '18', 'when' => '']);
        $changed = $this->project('Towpath coat')->openOptions()[1];
        self::assertSame(['18', ''], [$changed->size, $changed->when]);
        $this->get('/project/'.$coat->id);
        $this->send('undo', []);
        $back = $this->project('Towpath coat')->openOptions()[1];
        self::assertSame([$option->size, $option->when], [$back->size, $back->when]);
        self::assertCount(\count($option->claims), $back->claims);
    }

    public function testFiveAreEnough(): void
    {
        $coat = $this->project('Towpath coat');
        for ($i = 0; $i < 2; ++$i) {
            $this->get('/project/'.$coat->id.'/option/new');
            $this->send('Save the option', []);
        }
        self::assertCount(Option::MOST - 1, $this->project('Towpath coat')->openOptions());
        self::assertCount(0, $this->get('/project/'.$coat->id)->filter('[data-new]'));
        $this->browser->request('GET', '/project/'.$coat->id.'/option/new');
        self::assertResponseRedirects('/project/'.$coat->id.'/cloth');
        $shirt = $this->project('Bow-locker shirt')->pastOptions();
        self::assertCount(1, $shirt);
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('nonsense')]
    public function testBadInputGetsASentenceAndIsKept(array $fields, string $says): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id.'/option/new');
        $page = $this->send('Save the option', $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($says, self::says($page));
        self::assertEquals($coat, $this->project('Towpath coat'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'a version that is not there' => [['version' => '<script>alert(1)</script>'], 'There is no version called'];
        yield 'a size the table has not' => [['size' => '99'], 'Size 99 is not in the table'];
        yield 'a negative length' => [['claims' => [['stated' => '-2 m']]], 'below zero'];
        yield 'an event as long as a letter' => [['when' => str_repeat('🧵', 201)], '200'];
    }

    public function testAClothOrAPatternThatIsTakenOutLeavesTheOption(): void
    {
        $coat = $this->project('Towpath coat');
        [, $belted] = $coat->openOptions();
        $this->get('/project/'.$coat->id);
        $this->post('/cloth/'.$belted->claims[0]->cloth?->id.'/remove');
        $this->get('/project/'.$coat->id);
        $this->post('/versions/'.$belted->version?->id.'/remove');
        $left = $this->project('Towpath coat')->openOptions()[1];
        self::assertNull($left->claims[0]->cloth);
        self::assertNull($left->version);
        self::assertStringContainsString('no pattern yet', self::says($this->get('/project/'.$coat->id), '#options'));
        $this->take($coat, $belted);
        self::assertNull($this->project('Towpath coat')->current->version);
        $this->get('/project/'.$coat->id);
        $this->get('/season');
    }

    public function testAnothersOptionsAreNobodysBusiness(): void
    {
        $coat = $this->project('Towpath coat');
        $option = $coat->openOptions()[0]->id;
        $shirt = $this->project('Bow-locker shirt')->id;
        $this->get('/project/'.$coat->id);
        foreach (['/take', '/let-go', '/back', '/remove'] as $path) {
            $this->post('/project/'.$shirt.'/option/'.$option.$path);
            self::assertResponseStatusCodeSame(404, 'of another project: '.$path);
            $this->get('/project/'.$coat->id);
        }
        $this->browser->loginUser($this->account('else@example.org'));
        foreach (['', '/option/new', '/option/'.$option] as $path) {
            $this->browser->request('GET', '/project/'.$coat->id.$path);
            self::assertResponseStatusCodeSame(404, $path);
        }
    }

    public function testTheFormAndThePageOfAnOptionSayTheSame(): void
    {
        $coat = $this->project('Towpath coat');
        $page = $this->get('/project/'.$coat->id.'/option/'.$coat->openOptions()[1]->id);
        $answer = self::says($page, '#answer');
        self::assertStringContainsString('Tweed waistcoat would be 26 cm short of Slate lining because of it', $answer);
        self::assertStringContainsString(
            'Tweed waistcoat would be 26 cm short',
            self::says($this->get('/project/'.$coat->id), '#options'),
        );
    }

    public function testSeveralAreSewnAtOnceAndEachTakesItsOwn(): void
    {
        $tee = $this->project('Fern tee');
        $people = $this->workroom($this->account)->people;
        $other = 'Plimsoll stripe jersey, 1.54 m, 150 cm';
        $this->get('/project/'.$tee->id.'/change');
        $this->send('Save the project', [
            'copies' => [
                ['person' => $people[3]->id, 'size' => '16', 'cut' => $other],
                ['size' => '12'],
                ['person' => '', 'size' => '', 'cut' => ''],
            ],
        ]);
        self::assertResponseRedirects('/project/'.$tee->id);
        [$first, $second] = $this->project('Fern tee')->current->copies;
        self::assertSame(
            [$people[3]->name, '16', 'Plimsoll stripe jersey'],
            [$first->person?->name, $first->size, $first->claims[0]->cloth?->name],
        );
        self::assertSame([null, '12', 'Fern jersey'], [$second->person, $second->size, $second->claims[0]->cloth?->name]);
        self::assertNotNull($this->project('Fern tee')->current->claims[0]->lay, 'the first one’s lay stays');
        self::assertSame((int) (2.4 * (int) $tee->expectedMinutes()), $this->project('Fern tee')->expectedMinutes());
        $page = self::says($this->get('/project/'.$tee->id));
        self::assertStringContainsString('Main cloth, '.$people[3]->name.' 16', $page);
        self::assertStringContainsString('Main cloth, 12', $page);
        $season = self::says($this->get('/season/'.$tee->season->id));
        self::assertStringContainsString('Fern tee', $season);
        $this->get('/table/new?project='.$tee->id);
        $this->get('/project/'.$tee->id.'/change');
        self::assertSame($other, $this->browser->getCrawler()->filter('[name="copies[0][cut]"]')->attr('value'));
        $page = $this->send('Save the project', ['copies' => [['size' => '99'], ['size' => '12', 'cut' => 'Moon cloth']]]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Size 99 is not in the table', self::says($page));
        self::assertStringContainsString('There is no cut called “Moon cloth”', self::says($page));
        $this->get('/project/'.$tee->id.'/change');
        $this->send('Save the project', [
            'copies' => [['person' => '', 'size' => '', 'cut' => ''], ['person' => '', 'size' => '', 'cut' => '']],
        ]);
        self::assertSame([], $this->project('Fern tee')->current->copies);
    }

    /** @return array<string, list<string>> names and lengths by cut */
    private function promised(): array
    {
        return array_map(
            static fn (array $all): array => array_map(
                static fn (Reservation $promise): string => $promise->project->name.' '.$promise->amount->millimetres(),
                $all,
            ),
            $this->service(PlanChecker::class)->promises($this->fresh($this->account)),
        );
    }

    /** @param array<string, string> $fields */
    private function take(Project $project, Option $option, array $fields = []): void
    {
        $revision = $this->browser->getCrawler()->filter('[name=revision]');
        $fields += ['revision' => 0 === $revision->count() ? '' : (string) $revision->first()->attr('value')];
        $this->post('/project/'.$project->id.'/option/'.$option->id.'/take', $fields);
        self::assertResponseRedirects();
    }

    private function undo(): string
    {
        return (string) $this->browser->getCrawler()->filter('.toast form')->attr('action');
    }
}
