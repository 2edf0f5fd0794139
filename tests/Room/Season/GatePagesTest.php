<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** The gate before cutting, on the heron skirt of the demo. */
final class GatePagesTest extends PageTestCase
{
    private const TICKS = ['pressed' => '1', 'squared' => '1', 'pieces' => '1', 'right side' => '1', 'toile' => '1', 'alterations' => '1'];
    private const WORDS = ['laid' => 'chalked by hand', 'washed' => 'a toile', 'measured' => 'a toile', 'notions' => 'on the way'];

    public function testTheProjectLeadsToItsGateAndNothingIsCutWhileAnythingIsOpen(): void
    {
        $page = $this->gate();
        self::assertStringContainsString('Before cutting', self::says($page));
        self::assertStringContainsString('It is not laid out yet', self::says($page));
        $before = $this->cut();
        $page = $this->answer(['cut' => '1', 'used' => '1.2 m', 'tick' => ['pressed' => '1'], 'word' => ['laid' => 'by hand']]);
        self::assertSame(422, $this->browser->getResponse()->getStatusCode());
        self::assertMatchesRegularExpression('/\d+ checks are open: clear or tick each/', self::says($page));
        self::assertSame('1.2 m', $page->filter('[name=used]')->attr('value'));
        self::assertSame('by hand', $page->filter('[name="word[laid]"]')->attr('value'));
        self::assertCount(1, $page->filter('[name="tick[pressed]"][checked]'));
        self::assertEquals($before, $this->cut());
        self::assertSame([], $this->skirt()->current->claims[0]->gate, 'nothing is kept of what was not saved');
    }

    public function testAnswersAreKeptForTheNextDay(): void
    {
        $this->gate();
        $this->answer(['tick' => ['pressed' => '1'], 'word' => ['laid' => 'by hand <b>']]);
        $page = $this->browser->followRedirect();
        self::assertCount(1, $page->filter('[name="tick[pressed]"][checked]'));
        self::assertSame('by hand <b>', $page->filter('[name="word[laid]"]')->attr('value'));
        self::assertSame(['laid' => 'by hand <b>', 'pressed' => ''], $this->sorted($this->skirt()->current->claims[0]->gate));
    }

    public function testTheCutIsWrittenIntoLedgerRemnantsAndPlanAndTakenBackInOne(): void
    {
        $this->gate();
        $before = $this->cut();
        $cuts = \count($this->skirt()->current->claims[0]->cloth->cuts ?? []);
        $remnants = [['length' => '40 cm', 'width' => '30'], ['length' => '', 'width' => '']];
        $this->answer($this->passed(['remnants' => $remnants, 'spoilt' => 'a pocket']));
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('is cut for Heron skirt.', self::says($page, '.toast'));
        $skirt = $this->skirt();
        self::assertTrue($skirt->current->claims[0]->cutOut);
        self::assertSame(ProjectState::Cut, $skirt->log->state);
        $after = $this->cut();
        self::assertSame(($before->length->micrometres ?? 0) - 500_000, $after->length?->micrometres);
        self::assertSame('Heron skirt; a pocket', $after->ledger[\count($after->ledger) - 1]->note);
        $all = $skirt->current->claims[0]->cloth->cuts ?? [];
        self::assertCount($cuts + 1, $all);
        $remnant = $all[\count($all) - 1];
        self::assertSame([400_000, 300_000], [$remnant->length?->micrometres, $remnant->width?->micrometres]);
        $this->get('/match?cut='.$after->id);
        self::assertSame(200, $this->browser->getResponse()->getStatusCode());
        $gone = $this->get('/project/'.$skirt->id);
        self::assertCount(0, $gone->filter('a[href$="/gate/'.$skirt->current->claims[0]->id.'"]'), 'it is cut out already');
        $this->browser->request('GET', '/project/'.$skirt->id.'/gate/'.$skirt->current->claims[0]->id);
        self::assertStringContainsString('is cut out for Heron skirt already', self::says($this->browser->followRedirect(), '.toast'));
        $this->answer($this->passed(['used' => '1.4 m']));
        self::assertStringContainsString('your 1.4 m is not written', self::says($this->browser->followRedirect(), '.toast'));
        self::assertEquals($after, $this->cut(), 'nothing is cut twice');
        $this->get('/season');
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertFalse($this->skirt()->current->claims[0]->cutOut);
        self::assertSame(ProjectState::Planned, $this->skirt()->log->state);
        self::assertEquals($before, $this->cut());
        self::assertCount($cuts, $this->skirt()->current->claims[0]->cloth->cuts ?? []);
    }

    /** A dense lay may leave nothing worth keeping; whatever it leaves is proposed, and nothing else. */
    public function testWhatALayLeavesIsProposedAsRemnants(): void
    {
        $this->signInToDemo();
        $pinafore = $this->project('Quarry pinafore');
        $claim = $pinafore->current->claims[0]->id;
        $this->get('/project/'.$pinafore->id);
        $this->post('/project/'.$pinafore->id.'/enough/'.$claim.'/keep');
        $lay = $this->project('Quarry pinafore')->current->claims[0]->lay ?? self::fail('It is kept.');
        $left = \array_slice($lay->remnants(0, $lay->sheets[0]), 0, 3);
        $page = $this->get('/project/'.$pinafore->id.'/gate/'.$claim);
        self::assertSame([] !== $left, str_contains(self::says($page), 'As the lay leaves them'));
        $proposed = [];
        foreach (range(0, 2) as $i) {
            $proposed[] = [$this->millimetres($page, $i, 'length'), $this->millimetres($page, $i, 'width')];
        }
        $whole = static fn (Length $length): int => 10 * intdiv($length->micrometres, 10_000);
        $expected = array_map(static fn (array $rest): array => [$whole($rest[0]), $whole($rest[1])], $left);
        self::assertEquals(array_pad($expected, 3, [null, null]), $proposed, 'in whole centimetres, rounded down');
        self::assertSame('1.25 m', $page->filter('[name=used]')->attr('value'), 'the lay needs 1.2402');
    }

    private function millimetres(Crawler $page, int $row, string $of): float|int|null
    {
        $typed = (string) $page->filter('[name="remnants['.$row.']['.$of.']"]')->attr('value');

        return '' === $typed ? null : Length::parse($typed, Unit::Centimetre)->millimetres();
    }

    public function testWhatIsSpoiltClaimsItsClothOnceMoreSoThatThePlanSaysWhatItCosts(): void
    {
        $this->gate();
        $page = $this->answer($this->passed(['again' => '60 cm']));
        self::assertStringContainsString('What was spoilt?', self::says($page));
        // 2.50 m, of which 2.00 are cut off: half a metre is left
        $this->answer($this->passed(['used' => '2 m', 'spoilt' => 'a panel', 'again' => '60 cm']));
        $page = $this->browser->followRedirect();
        $skirt = $this->skirt();
        self::assertSame([true, false], array_column($skirt->current->claims, 'cutOut'));
        self::assertSame(600_000, $skirt->current->claims[1]->stated?->micrometres);
        self::assertSame(ProjectState::Ready, $skirt->log->state, 'not all of it is cut');
        self::assertMatchesRegularExpression('/Heron skirt is \d+ cm short on Heron lawn/', self::says($page));
        self::assertSame(2_000_000, $skirt->current->claims[0]->used?->micrometres);
        self::assertNotNull($skirt->current->claims[0]->asked, 'what the envelope asked for is kept beside it');
        $this->browser->submit($page->selectButton('undo')->form());
        self::assertCount(1, $this->skirt()->current->claims);
        self::assertNull($this->skirt()->current->claims[0]->used);
    }

    public function testTooMuchNothingAndHalfARemnantAreRefusedAndKept(): void
    {
        $this->gate();
        $page = $this->answer($this->passed(['used' => '90 m']));
        self::assertStringContainsString('There is not so much of it', self::says($page));
        $page = $this->answer($this->passed(['used' => '']));
        self::assertStringContainsString('How much was cut off?', self::says($page));
        $page = $this->answer($this->passed(['used' => '🧵']));
        self::assertSame('🧵', $page->filter('[name=used]')->attr('value'));
        $page = $this->answer($this->passed(['remnants' => [['length' => '40 cm', 'width' => '']]]));
        self::assertStringContainsString('A remnant has a length and a width', self::says($page));
        self::assertFalse($this->skirt()->current->claims[0]->cutOut);
    }

    public function testOfTwoDevicesOneCutsAndTheOtherIsTold(): void
    {
        $page = $this->gate();
        $revision = (string) $page->filter('[name=revision]')->attr('value');
        $record = $this->service(EntityManagerInterface::class)->find(CutRecord::class, $this->cut()->id);
        self::assertNotNull($record);
        $record->label = 'measured by another';
        $this->service(EntityManagerInterface::class)->flush();
        $before = $this->cut();
        $page = $this->answer($this->passed(['revision' => $revision]));
        self::assertSame(409, $this->browser->getResponse()->getStatusCode());
        self::assertStringContainsString('This was changed somewhere else', self::says($page));
        self::assertSame('50 cm', $page->filter('[name=used]')->attr('value'));
        self::assertEquals($before, $this->cut());
    }

    public function testAnotherAccountsGateIsNotThere(): void
    {
        $url = '/project/'.$this->skirt()->id.'/gate/'.$this->skirt()->current->claims[0]->id;
        $this->browser->loginUser($this->account('else@example.org'));
        $this->browser->request('GET', $url);
        self::assertSame(404, $this->browser->getResponse()->getStatusCode());
    }

    public function testTheGateGoesIntoTheDocumentAndComesBack(): void
    {
        $this->gate();
        $this->answer(['word' => ['laid' => 'by hand']]);
        $document = $this->command('octavum:export', [])->getDisplay();
        self::assertMatchesRegularExpression('/"gate":\s*\{\s*"laid":\s*"by hand"\s*\}/', $document);
        $read = $this->service(WorkroomReader::class)->read($document)->projects;
        $skirt = array_values(array_filter($read, static fn (Project $one): bool => 'Heron skirt' === $one->name))[0];
        self::assertSame(['laid' => 'by hand'], $skirt->current->claims[0]->gate);
        $refused = str_replace('"laid": "by hand"', '"lied": "by hand"', $document);
        $this->expectException(Refused::class);
        $this->service(WorkroomReader::class)->read($refused);
    }

    private function gate(): Crawler
    {
        $this->signInToDemo();
        $page = $this->get('/project/'.$this->skirt()->id);

        return $this->browser->click($page->filter('a[href$="/gate/'.$this->skirt()->current->claims[0]->id.'"]')->link());
    }

    /** @param array<string, mixed> $fields */
    private function answer(array $fields): Crawler
    {
        $skirt = $this->skirt();

        return $this->post('/project/'.$skirt->id.'/gate/'.$skirt->current->claims[0]->id, $fields);
    }

    /**
     * @param array<string, mixed> $fields
     *
     * @return array<string, mixed>
     */
    private function passed(array $fields): array
    {
        $words = self::WORDS + ['pattern' => 'known', 'enough' => 'known'];

        return $fields + ['cut' => '1', 'used' => '50 cm', 'tick' => self::TICKS, 'word' => $words];
    }

    private function skirt(): Project
    {
        return $this->project('Heron skirt');
    }

    private function cut(): Cut
    {
        return $this->skirt()->current->claims[0]->cut ?? self::fail('It has a cut.');
    }

    /**
     * @param array<string, string> $all
     *
     * @return array<string, string>
     */
    private function sorted(array $all): array
    {
        ksort($all);

        return $all;
    }
}
