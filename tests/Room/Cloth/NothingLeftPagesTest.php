<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Project\Project;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** A cut of which nothing is left stays in the stash: every page, list and file opens with it, and one press takes it back. */
final class NothingLeftPagesTest extends PageTestCase
{
    private const GATE = ['pressed' => '1', 'squared' => '1', 'pieces' => '1', 'right side' => '1', 'toile' => '1', 'alterations' => '1'];
    private const WORDS = ['laid', 'washed', 'measured', 'notions', 'pattern', 'enough'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signInToDemo();
    }

    public function testAllOfACutIsCutAtTheGateAndTakenBack(): void
    {
        $skirt = $this->project('Heron skirt');
        $before = $this->cut($skirt);
        $gate = '/project/'.$skirt->id.'/gate/'.$skirt->current->claims[0]->id;
        $this->get($gate);
        $this->post($gate, [
            'cut' => '1',
            'used' => ($before->length?->millimetres() ?? 0).' mm',
            'tick' => self::GATE,
            'word' => array_fill_keys(self::WORDS, 'known'),
        ]);
        self::assertResponseRedirects();
        self::assertTrue($this->cut($skirt)->gone);
        self::assertTrue($this->cut($skirt)->length?->isZero());
        $page = $this->browser->followRedirect();
        $this->everythingOpens($skirt);
        $this->post((string) $page->filter('.toast form')->attr('action'));
        self::assertEquals($before, $this->cut($skirt));
    }

    #[TestWith(['given away', ''])]
    #[TestWith(['given away', '0'])]
    #[TestWith(['spoilt', ''])]
    #[TestWith(['spoilt', '0 cm'])]
    #[TestWith(['cut', '0'])]
    #[TestWith(['cut', 'nothing'])]
    #[TestWith(['remnant', '0.00 m'])]
    #[TestWith(['taken apart', '0'])]
    public function testAllOfItIsTakenInTheLedgerAndTakenBack(string $kind, string $left): void
    {
        $skirt = $this->project('Heron skirt');
        $before = $this->cut($skirt);
        $this->get('/cloth/'.$skirt->current->claims[0]->cloth?->id);
        $this->post('/cut/'.$before->id.'/ledger', ['kind' => $kind, 'length' => $left]);
        self::assertResponseRedirects();
        self::assertTrue($this->cut($skirt)->gone);
        $this->everythingOpens($skirt);
        $this->get('/cloth/'.$skirt->current->claims[0]->cloth?->id);
        $this->post('/cut/'.$before->id.'/undo');
        self::assertEquals($before, $this->cut($skirt));
    }

    public function testTakenApartWholeItIsGoneAndItsPiecesAreThere(): void
    {
        $skirt = $this->project('Heron skirt');
        $before = $this->cloth($skirt);
        $this->get('/cloth/'.$before->id);
        $page = $this->send('Add the pieces', ['parts' => '2 halves 2.5 m × 65 cm', 'cut' => $before->cuts[0]->id]);
        self::assertResponseRedirects(message: self::says($page));
        self::assertTrue($this->cloth($skirt)->cuts[0]->gone);
        $page = $this->browser->followRedirect();
        $this->everythingOpens($skirt);
        $this->post((string) $page->filter('.toast form')->attr('action'));
        self::assertEquals($before, $this->cloth($skirt));
    }

    public function testCutIntoWithoutAFigureTheLengthIsNotKnownAndThatIsNoFault(): void
    {
        $skirt = $this->project('Heron skirt');
        $this->get('/cloth/'.$skirt->current->claims[0]->cloth?->id);
        $this->post('/cut/'.$this->cut($skirt)->id.'/ledger', ['kind' => 'cut', 'length' => '', 'note' => 'for a collar']);
        self::assertNull($this->cut($skirt)->length);
        self::assertFalse($this->cut($skirt)->gone);
        $this->everythingOpens($skirt);
    }

    #[TestWith(['cut', '90 m'])]
    #[TestWith(['given away', '2.51 m'])]
    #[TestWith(['measured', '0'])]
    #[TestWith(['measured', ''])]
    public function testWhatCannotBeLeftIsAskedAboutAndKept(string $kind, string $left): void
    {
        $skirt = $this->project('Heron skirt');
        $before = $this->cut($skirt);
        $this->get('/cloth/'.$skirt->current->claims[0]->cloth?->id);
        $page = $this->post('/cut/'.$before->id.'/ledger', ['kind' => $kind, 'length' => $left, 'note' => 'oh']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame($left, $page->filter('details[open] > form [name=length]')->attr('value'));
        self::assertEquals($before, $this->cut($skirt));
    }

    /** 2.50 m × 1.35 m of lawn. */
    #[TestWith(['a panel 2.6 m × 60 cm', 'does not go into'])]
    #[TestWith(['a panel 1.6 m × 1.5 m', 'does not go into'])]
    #[TestWith(['5 panels 1 m × 80 cm', 'more than all of it'])]
    public function testPiecesTakenApartAreNoMoreThanTheWhole(string $parts, string $why): void
    {
        $before = $this->cloth($this->project('Heron skirt'));
        $this->get('/cloth/'.$before->id);
        $page = $this->send('Add the pieces', ['parts' => $parts, 'cut' => $before->cuts[0]->id]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, self::says($page));
        self::assertSame($parts, $page->filter('[name=parts]')->text(normalizeWhitespace: false));
        self::assertEquals($before, $this->cloth($this->project('Heron skirt')));
    }

    /** @param array<string, string> $remnant */
    #[TestWith([['length' => '1.5 m', 'width' => '40 cm'], 'cannot come out of'])]
    #[TestWith([['length' => '50 cm', 'width' => '2 m'], 'no piece of it is'])]
    #[TestWith([['length' => '0', 'width' => '20 cm'], 'is no length: type more than zero'])]
    public function testARemnantIsNoMoreThanWhatWasCutOff(array $remnant, string $why): void
    {
        $skirt = $this->project('Heron skirt');
        $gate = '/project/'.$skirt->id.'/gate/'.$skirt->current->claims[0]->id;
        $this->get($gate);
        $page = $this->post($gate, [
            'cut' => '1',
            'used' => '1 m',
            'remnants' => [$remnant],
            'tick' => self::GATE,
            'word' => array_fill_keys(self::WORDS, 'known'),
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($why, self::says($page));
        self::assertSame($remnant['length'], $page->filter('[name="remnants[0][length]"]')->attr('value'));
        self::assertFalse($this->project('Heron skirt')->current->claims[0]->cutOut);
    }

    private function everythingOpens(Project $project): void
    {
        $claim = $project->current->claims[0];
        $pages = [
            '/season',
            '/cloth',
            '/cloth/'.$claim->cloth?->id,
            '/cloth/'.$claim->cloth?->id.'/edit',
            '/match',
            '/match?cut='.$claim->cut?->id,
            '/match/pattern?version='.$project->current->version?->id,
            '/match/best',
            '/project/'.$project->id,
            '/project/'.$project->id.'/change',
            '/project/'.$project->id.'/enough/'.$claim->id,
            '/project/'.$project->id.'/gate/'.$claim->id,
            '/project/new?cut='.$claim->cut?->id,
            '/shopping',
            '/table',
            '/table/new?project='.$project->id,
            '/sewing',
            '/sewing/year',
            '/lists',
            '/notions',
            '/find?q=heron',
            '/settings',
            '/settings/export',
        ];
        foreach ($pages as $page) {
            $this->browser->request('GET', $page);
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $page);
        }
        $this->fetched();
        $this->account();
        $file = (string) tempnam(sys_get_temp_dir(), 'octavum');
        file_put_contents($file, $this->command('octavum:export', [])->getDisplay());
        self::assertLessThan(2, $this->command('octavum:check', ['file' => $file])->getStatusCode());
        self::assertLessThan(2, $this->command('octavum:check', [])->getStatusCode());
        $import = $this->command('octavum:import', ['file' => $file, '--account' => 'maud@example.org']);
        self::assertSame(0, $import->getStatusCode(), $import->getErrorOutput());
        $this->get('/season');
    }

    /** @phpstan-impure */
    private function cloth(Project $project): Cloth
    {
        return $this->project($project->name)->current->claims[0]->cloth ?? self::fail('It has a cloth.');
    }

    /** @phpstan-impure */
    private function cut(Project $project): Cut
    {
        return $this->project($project->name)->current->claims[0]->cut ?? self::fail('It has a cut.');
    }
}
