<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Season\Lists\ListRule;
use Octavum\Core\Season\Lists\SewingList;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class ListPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testListsSayHowTheyStandAndWhatBreaksTheirRule(): void
    {
        $page = self::says($this->get('/lists'));
        self::assertStringContainsString('0 of 9 done, 6 on the list', $page);
        self::assertStringContainsString('Lantern dress buys Viscose lining: only stash cloth is meant.', $page);
        self::assertStringContainsString('Lock-keeper trousers: Stone cotton for pockets is ordered, not from the stash.', $page);
        self::assertStringContainsString('for others: than Ottoline', $page);
    }

    public function testAListIsBegunChangedUndoneAndTakenOut(): void
    {
        $projects = $this->workroom($this->account)->projects;
        $this->get('/lists/new');
        $this->send('Save the list', [
            'name' => 'Series',
            'target' => '3',
            'rule' => 'this pattern',
            'subject' => 'Tiller tee',
            'projects' => [$projects[3]->id, 'nonsense', $projects[2]->id],
        ]);
        self::assertResponseRedirects('/lists');
        $list = $this->last();
        self::assertSame(['Series', 3, ListRule::ThisPattern, 'Tiller tee'], [$list->name, $list->target, $list->rule, $list->subject]);
        self::assertSame([$projects[2]->id, $projects[3]->id], $list->projects);
        $this->get('/lists/'.$list->id);
        $this->post('/lists/'.$list->id, ['name' => 'Two of them', 'projects' => [$projects[2]->id]]);
        self::assertSame(['Two of them', null, null, 1], [
            $this->last()->name,
            $this->last()->target,
            $this->last()->rule,
            \count($this->last()->projects),
        ]);
        $this->get('/lists');
        $this->send('undo', []);
        self::assertEquals($list, $this->last());
        $this->get('/lists/'.$list->id);
        $this->send('Take the list out', []);
        $undo = $this->offeredUndo();
        self::assertStringNotContainsString('Series', self::says($this->get('/lists'), '#main'));
        $this->post($undo);
        self::assertEquals($list, $this->last());
    }

    public function testAProjectThatIsOffThePlanComesBackToItsLists(): void
    {
        $list = $this->workroom($this->account)->lists[0];
        $id = $list->projects[0];
        $this->get('/season');
        $this->post('/project/'.$id.'/remove');
        $undo = $this->offeredUndo();
        $this->get('/lists/'.$list->id);
        $this->send('Save the list', ['target' => '8']);
        $this->get('/season');
        $this->post($undo);
        self::assertContains($id, $this->workroom($this->account)->lists[0]->projects);
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('nonsense')]
    public function testBadInputGetsASentence(array $fields, string $says): void
    {
        $this->get('/lists/new');
        $page = $this->send('Save the list', $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($says, self::says($page));
        self::assertCount(4, $this->workroom($this->account)->lists);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'no name' => [['name' => ''], 'name'];
        yield 'it closes before it begins' => [
            ['name' => 'X', 'starts' => '2027-05-01', 'closes' => '2027-04-01'],
            'It closes before it begins',
        ];
        yield 'a rule about nothing' => [['name' => 'X', 'rule' => 'these makers'], 'Say of which'];
        yield 'less than one' => [['name' => 'X', 'target' => '0'], 'whole number from 1'];
        yield 'a rule nobody knows' => [['name' => 'X', 'rule' => '<script>'], 'cannot be chosen here'];
        yield 'a day that is none' => [['name' => 'X', 'starts' => '2027-02-31'], 'is not a day'];
    }

    public function testAnothersListIsNobodysBusiness(): void
    {
        $id = $this->workroom($this->account)->lists[0]->id;
        $this->browser->loginUser($this->account('else@example.org'));
        self::assertStringContainsString('No list yet', self::says($this->get('/lists')));
        $this->browser->request('GET', '/lists/'.$id);
        self::assertResponseStatusCodeSame(404);
        $this->get('/lists');
        $this->post('/lists/'.$id.'/remove');
        self::assertResponseStatusCodeSame(404);
    }

    private function last(): SewingList
    {
        $lists = $this->workroom($this->account)->lists;

        return $lists[\count($lists) - 1];
    }
}
