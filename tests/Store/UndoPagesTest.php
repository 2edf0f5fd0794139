<?php

declare(strict_types=1);

namespace Octavum\Tests\Store;

use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Migrations\Version20261202033000;
use Octavum\Tests\PageTestCase;
use Psr\Log\NullLogger;

/** Every change can be undone where it was made, whole or not at all, and an undo takes nothing with it that was written since. */
final class UndoPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testAWashUndoneLeavesWhatWasMeasuredSince(): void
    {
        $id = $this->cloth('Midnight sateen')->id;
        $this->get('/cloth');
        $this->post('/cloth/bulk', ['cloths' => [$id], 'what' => 'washed', 'query' => '']);
        $undo = $this->undo();
        $this->get('/cloth/'.$id);
        $this->send('Save this entry', ['kind' => 'measured', 'length' => '2.2']);
        $this->get('/cloth');
        $this->post($undo);
        $kinds = array_column($this->cloth('Midnight sateen')->cuts[0]->ledger, 'kind');
        self::assertNotContains(LedgerKind::Washed, $kinds);
        self::assertContains(LedgerKind::Measured, $kinds);
        self::assertSame(2_200_000, $this->cloth('Midnight sateen')->cuts[0]->length?->micrometres);
    }

    public function testOnOneClothTheNewestChangeIsUndoneFirst(): void
    {
        $before = $this->cloth('Midnight sateen');
        $this->get('/cloth/'.$before->id.'/edit');
        $this->send('Save the cloth', ['place' => 'Attic', 'notes' => 'for the choir']);
        $first = $this->undo();
        $this->get('/cloth/'.$before->id.'/edit');
        $this->send('Save the cloth', ['notes' => 'for the band']);
        $second = $this->undo();
        $this->undoing($first, 'Midnight sateen was changed since, so nothing is undone. Undo the later change first.');
        self::assertSame(
            ['for the band', 'Attic'],
            [$this->cloth('Midnight sateen')->keeping->notes, $this->cloth('Midnight sateen')->keeping->place],
        );
        $this->undoing($second, 'That is undone.');
        $this->undoing($first, 'That is undone.');
        self::assertEquals($before, $this->cloth('Midnight sateen'));
        $this->undoing($first, 'That is undone already.');
        self::assertEquals($before, $this->cloth('Midnight sateen'));
    }

    public function testTheOrderOfTheListIsAsBeforeWhenMovesAreUndoneOutOfOrder(): void
    {
        $ranks = fn (): array => array_column($this->workroom($this->account)->projects, 'rank', 'name');
        $before = $ranks();
        [$top, $dress] = [$this->project('Naming-day top')->id, $this->project('Choir dress')->id];
        $undos = [];
        foreach ([$top, $dress, $dress] as $id) {
            $this->get('/project/'.$id);
            $this->post('/project/'.$id.'/move');
            $undos[] = $this->undo();
        }
        self::assertNotSame($before, $ranks());
        foreach ($undos as $undo) {
            $this->undoing($undo, 'That is undone.');
        }
        self::assertSame($before, $ranks());
    }

    public function testAChangeOfTheReleaseBeforeIsUndoneAndOneOfAnotherIsNot(): void
    {
        $id = $this->cloth('Midnight sateen')->id;
        $this->get('/cloth/'.$id.'/edit');
        $this->send('Save the cloth', ['place' => 'Attic']);
        $undo = $this->undo();
        $entities = $this->service(EntityManagerInterface::class)->getConnection();
        $name = static fn (string $from, string $to): int|string => $entities->executeStatement(
            'UPDATE undo SET changes = CAST(REPLACE(changes, ?, ?) AS BLOB)',
            [serialize($from.' '.$id), serialize($to.' '.$id)],
        );
        $name('cloth', 'Octavum\Somewhere\Cloth');
        $this->undoing($undo, 'There is nothing left to undo.');
        $name('Octavum\Somewhere\Cloth', 'Octavum\Store\ClothRecord');
        $migration = new Version20261202033000($entities, new NullLogger());
        $migration->up(new Schema());
        foreach ($migration->getSql() as $query) {
            [$changes, $key] = array_values($query->getParameters());
            self::assertSame(1, $entities->executeStatement($query->getStatement(), [$changes, $key], [ParameterType::LARGE_OBJECT]));
        }
        $this->undoing($undo, 'That is undone.');
        self::assertSame('Locker 1', $this->cloth('Midnight sateen')->keeping->place);
    }

    public function testWhatChangedListsEachChangeAndUndoesIt(): void
    {
        $before = $this->cloth('Midnight sateen');
        self::assertStringContainsString('Nothing has changed yet', self::says($this->get('/changes')));
        $this->get('/cloth/'.$before->id.'/edit');
        $this->send('Save the cloth', ['place' => 'Attic']);
        $this->get('/cloth');
        $this->post('/cloth/bulk', ['cloths' => [$before->id], 'what' => 'washed', 'query' => '']);
        $rows = $this->get('/changes')->filter('tbody tr');
        self::assertCount(2, $rows);
        self::assertStringContainsString('Midnight sateen', self::says($rows->last(), 'td:nth-child(2)'));
        $this->browser->submit($this->browser->getCrawler()->filter('tbody tr')->last()->selectButton('Undo')->form());
        self::assertResponseRedirects('/changes');
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('That is undone.', self::says($page, '.toasts'));
        self::assertSame('undone', trim($page->filter('tbody tr')->last()->filter('td')->last()->text()));
        self::assertSame($before->keeping->place, $this->cloth('Midnight sateen')->keeping->place);
        self::assertStringContainsString('Show what changed', self::says($this->get('/settings')));
        $this->browser->loginUser($this->account('other@example.org'));
        self::assertStringContainsString('Nothing has changed yet', self::says($this->get('/changes')), 'another sees none of it');
    }

    /** A piece that comes back brings the marks of its version with it, by which kept lays are known. */
    public function testAPieceIsPutBackFromTheListOfChanges(): void
    {
        $version = $this->project('Regatta dress')->current->version ?? self::fail('It has a version.');
        $before = $version->pieces;
        $this->get('/versions/'.$version->id.'/pieces');
        $this->post('/versions/'.$version->id.'/pieces/remove', ['piece' => $before->all()[0]->name]);
        self::assertNotEquals($before->marks, $this->pieces()->marks);
        $this->browser->submit($this->get('/changes')->filter('tbody tr')->selectButton('Undo')->form());
        self::assertResponseRedirects();
        self::assertEquals([$before->marks, $before->widest], [$this->pieces()->marks, $this->pieces()->widest]);
    }

    public function testASeasonThatWasMadeStaysOnceSomethingElseIsInIt(): void
    {
        $projects = \count($this->workroom($this->account)->projects);
        $coat = $this->project('Towpath coat');
        $pinafore = $this->project('Quarry pinafore');
        $this->get('/project/'.$coat->id);
        $this->post('/project/'.$coat->id.'/season', ['season' => 'next year']);
        $undo = $this->undo();
        $season = $this->project('Towpath coat')->season;
        $this->get('/project/'.$pinafore->id);
        $this->post('/project/'.$pinafore->id.'/season', ['season' => $season->id]);
        $other = $this->undo();
        $this->undoing($undo, $season->name.' is used by Quarry pinafore now, so nothing is undone. Change that first.');
        self::assertCount($projects, $this->workroom($this->account)->projects);
        self::assertSame($season->id, $this->project('Towpath coat')->season->id);
        $this->undoing($other, 'That is undone.');
        $this->undoing($undo, 'That is undone.');
        self::assertEquals($coat, $this->project('Towpath coat'));
        self::assertEquals($pinafore, $this->project('Quarry pinafore'));
        self::assertCount($projects, $this->workroom($this->account)->projects);
    }

    public function testATakenOptionIsNotMixedWithWhatWasSavedSince(): void
    {
        $shorts = $this->project('Allotment shorts');
        $option = $shorts->openOptions()[0];
        $this->get('/project/'.$shorts->id);
        $this->post('/project/'.$shorts->id.'/option/'.$option->id.'/take');
        $undo = $this->undo();
        $this->get('/project/'.$shorts->id.'/change');
        $this->send('Save the project', ['notes' => 'with deep pockets', 'size' => '16']);
        $saved = $this->project('Allotment shorts')->current;
        self::assertSame([$option->id, '16'], [$saved->id, $saved->size]);
        $this->undoing($undo, 'That is undone.');
        $now = $this->project('Allotment shorts');
        self::assertEquals($shorts->current, $now->current, 'made as it was before');
        self::assertEquals($saved, $now->openOptions()[0], 'and the option as it was saved, with the cloth it takes');
        self::assertSame('with deep pockets', $now->brief->notes);
    }

    public function testWhatWasWrittenIntoAHalfKeepsIt(): void
    {
        $dress = $this->project('Regatta dress');
        $this->get('/project/'.$dress->id);
        $this->post('/project/'.$dress->id.'/split', ['first' => 'Regatta top', 'second' => 'Regatta skirt']);
        $undo = $this->undo();
        $top = $this->project('Regatta top');
        $this->get('/project/'.$top->id.'/change');
        $this->send('Save the project', ['notes' => 'with the long cuffs']);
        $this->undoing($undo, 'Regatta top was changed since, so nothing is undone. Undo the later change first.');
        self::assertSame('with the long cuffs', $this->project('Regatta top')->brief->notes);
    }

    public function testASplitIsUndoneWithBothHalves(): void
    {
        $dress = $this->project('Regatta dress');
        $this->get('/project/'.$dress->id);
        $this->post('/project/'.$dress->id.'/split', ['first' => 'Regatta top', 'second' => 'Regatta skirt']);
        $this->undoing($this->undo(), 'That is undone.');
        self::assertEquals($dress, $this->project('Regatta dress'));
        $names = array_map(static fn (Project $project): string => $project->name, $this->workroom($this->account)->projects);
        self::assertSame([], array_intersect($names, ['Regatta top', 'Regatta skirt']));
    }

    public function testAProjectThatIsMovedBackLeavesTheSeasonAlone(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id);
        $this->post('/project/'.$coat->id.'/season', ['season' => 'none']);
        $undo = $this->undo();
        $none = $this->project('Towpath coat')->season;
        $pinafore = $this->project('Quarry pinafore');
        $this->get('/project/'.$pinafore->id);
        $this->post('/project/'.$pinafore->id.'/season', ['season' => $none->id]);
        $this->undoing($this->undo(), 'That is undone.');
        self::assertSame($none->id, $this->project('Towpath coat')->season->id);
        $this->undoing($undo, 'That is undone.');
        self::assertEquals($coat, $this->project('Towpath coat'));
    }

    public function testACutThatWasAddedIsTakenOutAgain(): void
    {
        $cloth = $this->cloth('Midnight sateen');
        $this->get('/cloth/'.$cloth->id);
        $this->send('Add the cut', ['length' => '1.2']);
        self::assertCount(\count($cloth->cuts) + 1, $this->cloth('Midnight sateen')->cuts);
        $this->get('/cloth/'.$cloth->id);
        $this->send('undo', []);
        self::assertCount(\count($cloth->cuts), array_filter($this->cloth('Midnight sateen')->cuts, static fn ($cut): bool => !$cut->gone));
    }

    public function testARoleIsDeclinedAVersionTakenAndAProjectSavedAndEachIsUndone(): void
    {
        $coat = $this->project('Towpath coat');
        $shorter = array_values(
            array_filter($coat->current->pattern->versions ?? [], static fn ($version): bool => 'A, short' === $version->name),
        )[0];
        $changes = [
            '/decline' => ['role' => 'lining'],
            '/take' => ['remedy' => 'take this version', 'subject' => $shorter->id],
            '/move' => [],
        ];
        foreach ($changes as $path => $fields) {
            $this->get('/project/'.$coat->id.'/change');
            $this->post('/project/'.$coat->id.$path, $fields);
            self::assertNotEquals($coat, $this->project('Towpath coat'), $path);
            $this->post($this->undo());
            self::assertEquals($coat, $this->project('Towpath coat'), $path);
        }
        $this->get('/project/'.$coat->id.'/change');
        $this->send('Save the project', ['size' => '16', 'notes' => 'with a belt']);
        self::assertSame('16', $this->project('Towpath coat')->current->size);
        $this->post($this->undo());
        $now = $this->project('Towpath coat');
        self::assertEquals([$coat->current->size, $coat->brief->notes], [$now->current->size, $now->brief->notes]);
    }

    public function testAnUndoIsGoodOnceAndForWhoeverMadeTheChange(): void
    {
        $id = $this->cloth('Midnight sateen')->id;
        $this->get('/cloth');
        $this->post('/cloth/bulk', ['cloths' => [$id], 'what' => 'move', 'text' => 'Attic', 'query' => '']);
        $undo = $this->undo();
        $this->browser->loginUser($this->account('other@example.org'));
        $this->get('/cloth');
        $this->post($undo);
        self::assertSame('Attic', $this->cloth('Midnight sateen')->keeping->place);
        $this->browser->loginUser($this->account);
        $this->get('/cloth');
        foreach (['nonsense', str_repeat('0', 26), '<script>'] as $key) {
            $this->post('/undo/'.rawurlencode($key));
            $this->browser->followRedirect();
            self::assertStringContainsString('There is nothing left to undo.', self::says($this->browser->followRedirect()));
        }
    }

    public function testAnAddressThatLeadsNowhereKeepsTheBar(): void
    {
        foreach (['/cloth/'.str_repeat('0', 26), '/no/such/room'] as $path) {
            $page = $this->browser->request('GET', $path);
            self::assertResponseStatusCodeSame(404);
            self::assertStringContainsString('Shopping', self::says($page, 'header'), $path);
        }
    }

    /** Presses an undo, now or on a page from before, and is told what came of it. */
    public function testAnUndoKeepsToTheLimitsOfTheForms(): void
    {
        $coat = $this->project('Towpath coat');
        $this->get('/project/'.$coat->id);
        $this->post('/project/'.$coat->id.'/option/'.$coat->openOptions()[0]->id.'/let-go');
        $undo = $this->undo();
        foreach (['XS', 'S', 'M'] as $size) {
            $this->get('/project/'.$coat->id.'/option/new');
            $this->send('Save the option', ['size' => $size, 'version' => '']);
        }
        $before = $this->project('Towpath coat');
        self::assertCount(4, $before->openOptions());
        $this->undoing($undo, 'Towpath coat would have more than can be kept, so nothing is undone.');
        self::assertEquals($before, $this->project('Towpath coat'));
    }

    public function testATakenOutThingAndANewOneAreAmongTheChanges(): void
    {
        $this->get('/cloth/haul');
        $this->send('Add them to the stash', ['haul' => "1.2 m lawn 140 wide\n2 m red twill 150 wide"]);
        $haul = $this->undo();
        $cloths = \count($this->workroom($this->account)->cloths);
        $twill = array_values(array_filter(
            $this->workroom($this->account)->cloths,
            static fn (Cloth $cloth): bool => str_contains(mb_strtolower($cloth->name), 'red twill'),
        ))[0];
        $this->get('/cloth/'.$twill->id);
        $this->post('/cloth/'.$twill->id.'/remove');
        $removed = $this->undo();
        $says = self::says($this->get('/changes'));
        self::assertStringContainsString('2 cloths are in the stash.', $says);
        self::assertStringContainsString('is taken out of the stash.', $says);
        $this->undoing($haul, 'was changed since, so nothing is undone.');
        $this->undoing($removed, 'That is undone.');
        $this->undoing($haul, 'That is undone.');
        self::assertCount($cloths - 2, $this->workroom($this->account)->cloths);
    }

    public function testWhatASavedProjectLostComesBackAsItWas(): void
    {
        $shorts = $this->project('Allotment shorts');
        $option = $shorts->openOptions()[0];
        self::assertCount(1, $option->copies);
        $this->get('/project/'.$shorts->id.'/option/'.$option->id);
        $this->send('Save the option', [
            'copies' => [['person' => '', 'size' => '', 'gradedTo' => '', 'cut' => '']],
            'claims' => [['role' => 'lining', 'cut' => '', 'buy' => 'Silk']],
        ]);
        $undo = $this->undo();
        $changed = $this->project('Allotment shorts')->openOptions()[0];
        self::assertSame([], $changed->copies);
        self::assertSame(['lining'], array_map(static fn (Claim $claim): string => $claim->role->value, $changed->claims));
        $this->undoing($undo, 'That is undone.');
        self::assertEquals($shorts, $this->project('Allotment shorts'));
    }

    private function undoing(string $undo, string $says): void
    {
        $this->get('/cloth');
        $this->post($undo);
        while ($this->browser->getResponse()->isRedirection()) {
            $this->browser->followRedirect();
        }
        self::assertStringContainsString($says, self::says($this->browser->getCrawler(), '.toasts'));
    }

    /** Where the toast of the change that was made last undoes it. */
    private function undo(): string
    {
        $action = $this->browser->followRedirect()->filter('.toast form')->attr('action');
        self::assertNotNull($action);

        return $action;
    }

    /** @phpstan-impure */
    private function pieces(): PieceSet
    {
        return $this->project('Regatta dress')->current->version->pieces ?? self::fail('It has a version.');
    }

    /** @phpstan-impure */
    private function cloth(string $name): Cloth
    {
        return array_values(
            array_filter($this->workroom($this->account)->cloths, static fn (Cloth $cloth): bool => $cloth->name === $name),
        )[0];
    }
}
