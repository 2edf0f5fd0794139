<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Notions;

use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Tests\PageTestCase;

final class NotionPagesTest extends PageTestCase
{
    public function testNotionsArePutInByLineChangedTakenOutAndPutBack(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/notions');
        $this->send('Add them to your notions', [
            'lines' => "7 shell buttons 11 mm, tin 2\n\n1.5 m soft elastic 10 mm\ninvisible zip 22 in navy, drawer\n🦆 <script>alert(1)</script>",
        ]);
        self::assertResponseRedirects('/notions');
        $notions = $this->workroom($account)->notions;
        self::assertSame(
            [NotionKind::Button, NotionKind::Elastic, NotionKind::Zip, NotionKind::Other],
            array_map(static fn (Notion $notion): NotionKind => $notion->kind, $notions),
        );
        self::assertSame([7, 'tin 2', 'shell'], [$notions[0]->count, $notions[0]->place, $notions[0]->name]);
        self::assertSame(1500, $notions[1]->length?->millimetres());
        self::assertSame('invisible navy', $notions[2]->name);
        self::assertStringContainsString('🦆', $notions[3]->name, 'nothing typed is dropped');

        $page = $this->browser->followRedirect();
        $this->browser->click($page->selectLink('button')->link());
        self::assertStringContainsString('cannot be read', self::says($this->send('Save the notion', ['measure' => 'wide'])));
        $this->send('Save the notion', ['measure' => '12 mm', 'count' => '5']);
        self::assertSame(
            [12, 5],
            [$this->workroom($account)->notions[0]->measure?->millimetres(), $this->workroom($account)->notions[0]->count],
        );

        $this->get('/notions/'.$notions[0]->id);
        $this->send('Save the notion', ['expected' => '2027-03-08']);
        self::assertSame('2027-03-08', $this->workroom($account)->notions[0]->expected?->format('Y-m-d'));
        self::assertStringContainsString('ordered, comes about 8 Mar', self::says($this->browser->followRedirect()));
        $this->get('/notions/'.$notions[0]->id);
        $this->send('Save the notion', ['expected' => '']);
        self::assertNull($this->workroom($account)->notions[0]->expected, 'it is here');

        $this->get('/notions/'.$notions[0]->id);
        $this->send('Take it out', []);
        self::assertCount(3, $this->workroom($account)->notions);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertCount(4, $this->workroom($account)->notions);
    }

    public function testAnEmptyEntryIsSaidAndAnothersNotionsAreNotToBeSeen(): void
    {
        $notion = $this->workroom($this->demo())->notions[0];
        $this->browser->loginUser($this->account());
        $this->get('/notions');
        self::assertStringContainsString('Nothing is typed yet', self::says($this->send('Add them to your notions', ['lines' => " \n"])));
        $this->browser->request('GET', '/notions/'.$notion->id);
        self::assertResponseStatusCodeSame(404);
        $this->get('/notions');
        $this->post('/notions/'.$notion->id.'/remove');
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheSeasonAndTheShoppingListTakeFromTheTins(): void
    {
        $this->signInToDemo();
        self::assertStringContainsString('Bow-locker shirt: not here, or not enough: 10 buttons 11 mm.', self::says($this->fetched()));
        $page = self::says($this->get('/shopping'), '#notions');
        self::assertStringContainsString('10 buttons 11 mm: 7 of one look here, 3 to buy that match, or a set.', $page);
        self::assertStringContainsString('invisible zip 55 cm: one of 57 cm is here, a little too long and usable.', $page);
        self::assertStringContainsString('4 buttons 25 mm: here.', $page);
    }

    public function testWhatAProjectUsesGoesOutOfTheTinsAndComesBack(): void
    {
        $account = $this->signInToDemo();
        $before = $this->workroom($account)->notions;
        $page = $this->get('/shopping');
        $this->browser->submit($page->filter('#notions tr:contains("Towpath coat") form')->form());
        $after = $this->workroom($account)->notions;
        self::assertSame([6, 2], [$before[0]->count, $after[0]->count], 'four buttons of 25 mm');
        $page = $this->browser->followRedirect();
        self::assertCount(0, $page->filter('#notions tr:contains("Towpath coat")'), 'it asks for nothing more');
        $this->send('undo', []);
        self::assertEquals($before, $this->workroom($account)->notions);
        self::assertStringContainsString('4 buttons 25 mm: here.', self::says($this->browser->followRedirect(), '#notions'));
    }

    public function testAnothersProjectIsNotToBeSewnFromMyTins(): void
    {
        $project = $this->workroom($this->demo())->projects[0]->id;
        $this->browser->loginUser($this->account());
        $this->get('/notions');
        $this->post('/notions/use/'.$project);
        self::assertResponseStatusCodeSame(404);
    }
}
