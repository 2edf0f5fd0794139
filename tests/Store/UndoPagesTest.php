<?php

declare(strict_types=1);

namespace Octavum\Tests\Store;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Tests\PageTestCase;

/** Every change can be undone where it was made, and an undo takes nothing with it that was written since. */
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
        $this->send('Write it down', ['kind' => 'measured', 'length' => '2.2']);
        $this->get('/cloth');
        $this->post($undo);
        $kinds = array_column($this->cloth('Midnight sateen')->cuts[0]->ledger, 'kind');
        self::assertNotContains(LedgerKind::Washed, $kinds);
        self::assertContains(LedgerKind::Measured, $kinds);
        self::assertSame(2_200_000, $this->cloth('Midnight sateen')->cuts[0]->length?->micrometres);
    }

    public function testAClothIsAsItWasButForWhatWasChangedSince(): void
    {
        $id = $this->cloth('Midnight sateen')->id;
        $this->get('/cloth/'.$id.'/edit');
        $this->send('Save the cloth', ['place' => 'Attic', 'notes' => 'for the choir']);
        $undo = $this->undo();
        $this->get('/cloth/'.$id.'/edit');
        $this->send('Save the cloth', ['notes' => 'for the band']);
        $this->get('/cloth');
        $this->post($undo);
        self::assertSame('for the band', $this->cloth('Midnight sateen')->notes);
        self::assertNotSame('Attic', $this->cloth('Midnight sateen')->place);
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
            array_filter($coat->pattern->versions ?? [], static fn ($version): bool => 'A, short' === $version->name),
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
        self::assertSame('16', $this->project('Towpath coat')->size);
        $this->post($this->undo());
        self::assertEquals([$coat->size, $coat->notes], [$this->project('Towpath coat')->size, $this->project('Towpath coat')->notes]);
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
        self::assertSame('Attic', $this->cloth('Midnight sateen')->place);
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

    /** Where the toast of the change that was made last undoes it. */
    private function undo(): string
    {
        $action = $this->browser->followRedirect()->filter('.toast form')->attr('action');
        self::assertNotNull($action);

        return $action;
    }

    /** @phpstan-impure */
    private function cloth(string $name): Cloth
    {
        return array_values(
            array_filter($this->workroom($this->account)->cloths, static fn (Cloth $cloth): bool => $cloth->name === $name),
        )[0];
    }

    /** @phpstan-impure */
}
