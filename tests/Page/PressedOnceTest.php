<?php

declare(strict_types=1);

namespace Octavum\Tests\Page;

use Doctrine\DBAL\Connection;
use Octavum\Core\Cloth\Cloth;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Form;

/** A button counts once, however often it is pressed; the same form with other entries counts again, and what came to nothing too. */
final class PressedOnceTest extends PageTestCase
{
    public function testAFormThatIsSentTwiceChangesOneThing(): void
    {
        $this->signInToDemo();
        $before = \count($this->sateen()->cuts);
        $form = $this->newCut('1.2');
        $this->browser->submit($form);
        $led = $this->browser->getResponse()->headers->get('Location');
        $this->browser->submit($form);
        self::assertSame($led, $this->browser->getResponse()->headers->get('Location'));
        $undo = $this->browser->followRedirect()->filter('.toast form');
        self::assertCount(1, $undo, 'the undo of the first is there still, and nothing else is said');
        self::assertCount($before + 1, $this->sateen()->cuts);

        $form['length'] = '1.3';
        $this->browser->submit($form);
        self::assertCount($before + 2, $this->sateen()->cuts, 'another cut, typed on the page of the first');
    }

    public function testWhatCameToNothingMayBeSentAgain(): void
    {
        $this->signInToDemo();
        $before = $this->sateen();
        $form = $this->newCut('nonsense');
        foreach ([1, 2] as $time) {
            $this->browser->submit($form);
            self::assertResponseStatusCodeSame(422, 'time '.$time);
        }
        self::assertEquals($before, $this->sateen());
    }

    public function testAnOldPageSaysThatItIsDone(): void
    {
        $this->signInToDemo();
        $form = $this->newCut('1.2');
        $this->browser->submit($form);
        $this->browser->followRedirect();
        $before = $this->sateen();
        $this->service(Connection::class)->executeStatement('UPDATE once SET pressed_at = pressed_at - 60');
        $this->browser->submit($form);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('This was sent already, so nothing more is changed.', self::says($page, '.toasts'));
        self::assertEquals($before, $this->sateen());
    }

    public function testASheetIsTakenApartOnce(): void
    {
        $this->signInToDemo();
        $cloth = $this->sateen();
        $form = $this->get('/cloth/'.$cloth->id)->filter('form[action$="/apart"]')->form();
        $form['parts'] = "Back 60 x 40 cm\nFront 50 x 40 cm";
        $this->browser->submit($form);
        $this->browser->submit($form);
        self::assertCount(\count($cloth->cuts) + 2, $this->sateen()->cuts);
    }

    private function newCut(string $length): Form
    {
        $form = $this->get('/cloth/'.$this->sateen()->id)->selectButton('Add the cut')->form();
        $form['length'] = $length;

        return $form;
    }

    /** @phpstan-impure */
    private function sateen(): Cloth
    {
        foreach ($this->workroom($this->demo())->cloths as $cloth) {
            if ('Midnight sateen' === $cloth->name) {
                return $cloth;
            }
        }
        self::fail('It is in the demo workroom.');
    }
}
