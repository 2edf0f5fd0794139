<?php

declare(strict_types=1);

namespace Octavum\Tests\Room;

use Octavum\Account\Account;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Project;
use Octavum\Store\Plan\LaySettler;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Tests\PageTestCase;

/** A project that is short by the envelope and enough when it is laid: every room says the same, before and after the lay is kept. */
final class RoomsAgreeTest extends PageTestCase
{
    private const SAID = 'Quarry pinafore is 56 cm short on Quarry tweed by the envelope, and enough when it is laid.';

    protected function setUp(): void
    {
        parent::setUp();
        $this->forgetLays();
    }

    public function testWhereItIsLaidInTheBackgroundEveryRoomSaysSoAndOnePressKeepsIt(): void
    {
        $account = $this->signInToDemo();
        $pinafore = $this->project('Quarry pinafore');
        $claim = $pinafore->current->claims[0]->id;
        $gate = '/project/'.$pinafore->id.'/gate/'.$claim;
        self::assertStringContainsString(
            'Quarry pinafore is 56 cm short on Quarry tweed.',
            self::says($this->get('/season')),
            'not laid yet',
        );
        self::assertStringNotContainsString('keep the lay', self::says($this->get('/shopping')));
        self::assertGreaterThan(0, $this->service(LaySettler::class)->settle($this->demo()));
        self::assertSame(0, $this->service(LaySettler::class)->settle($this->demo()), 'settled once');

        foreach (['/season', '/project/'.$pinafore->id, $gate] as $page) {
            self::assertStringContainsString(self::SAID, self::says($this->get($page)), $page);
        }
        $shopping = $this->get('/shopping');
        self::assertStringContainsString('Don’t buy yet: keep the lay', self::says($shopping));
        self::assertStringContainsString(
            'Quarry pinafore on Quarry tweed: 56 cm short by the envelope; laid, ',
            self::says($shopping, '#keep'),
        );
        self::assertSame(Verdict::Short, $this->verdict($pinafore, $account), 'a lay that is not kept changes no verdict');

        $page = $this->get('/season');
        $this->browser->submit($page->filter('form[action$="/enough/'.$claim.'/keep"]')->form());
        self::assertResponseRedirects();
        $page = $this->browser->followRedirect();
        self::assertNotSame(Verdict::Short, $this->verdict($pinafore, $account));
        foreach (['/season', '/project/'.$pinafore->id, $gate] as $where) {
            self::assertStringNotContainsString('Quarry pinafore is 56 cm short', self::says($this->get($where)), $where);
        }
        self::assertStringNotContainsString('Quarry pinafore on Quarry tweed', self::says($this->get('/shopping')));
        $lay = $this->project('Quarry pinafore')->current->claims[0]->lay ?? self::fail('It is kept.');
        self::assertStringContainsString('Quarry pinafore', self::says($this->get('/table/'.$lay->id)));
        $this->get('/season');
        $this->post((string) $page->filter('.toast form')->attr('action'));
        self::assertNull($this->project('Quarry pinafore')->current->claims[0]->lay, 'one press takes it back');
    }

    public function testAPageThatWantsALayAsksAfterItAndIsTold(): void
    {
        $this->signInToDemo();
        $page = $this->get('/season');
        self::assertSame('/settled', $page->filter('body')->attr('data-settled-url'));
        $this->browser->request('GET', '/settled');
        self::assertSame(['settled' => false], json_decode((string) $this->browser->getResponse()->getContent(), true));
        $this->service(LaySettler::class)->settle($this->demo());
        $this->browser->request('GET', '/settled');
        self::assertSame(['settled' => true], json_decode((string) $this->browser->getResponse()->getContent(), true));
        self::assertNull($this->get('/season')->filter('body')->attr('data-settled-url'));
    }

    public function testTheButtonPressedTwiceFromAnOldPageKeepsOneLay(): void
    {
        $this->signInToDemo();
        $pinafore = $this->project('Quarry pinafore');
        $this->get('/season');
        $this->service(LaySettler::class)->settle($this->demo());
        $form = $this->get('/season')->filter('form[action$="/enough/'.$pinafore->current->claims[0]->id.'/keep"]')->form();
        $this->browser->submit($form);
        $kept = $this->project('Quarry pinafore')->current->claims[0]->lay->id ?? self::fail('It is kept.');
        $this->browser->submit($form);
        $page = $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        self::assertSame($kept, $this->project('Quarry pinafore')->current->claims[0]->lay?->id, self::says($page, '.toasts'));
    }

    private function verdict(Project $project, Account $account): ?Verdict
    {
        $this->fresh($account);

        return $this->service(PlanChecker::class)->answer($this->demo(), $project->id)?->verdict;
    }
}
