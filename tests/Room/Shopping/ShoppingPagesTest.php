<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Shopping;

use Octavum\Tests\PageTestCase;

final class ShoppingPagesTest extends PageTestCase
{
    public function testEveryShortfallAndRoleToBuyHasALengthForEachWidth(): void
    {
        $this->signInToDemo();
        $page = $this->get('/shopping');
        self::assertSame(
            [
                'Reed canvas',
                'Heron lawn',
                'Quarry tweed',
                'Paper-lantern cotton',
                'Viscose lining',
                'Moth-wing silk',
                'Notions',
            ],
            $page->filter('.counter h2')->each(static fn ($node): string => $node->text()),
        );
        $viscose = self::says($page, 'section.counter:nth-of-type(5)');
        self::assertStringContainsString('112 cm wide 2.30 m €20.47', $viscose, '2.10 / 0.94 + 0.06 = 2.294 → 2.30; × 8.90');
        self::assertStringContainsString('Before rounding to the counter’s 10 cm 2.294 m Ask for 2.30 m', $viscose);
        self::assertStringContainsString('The cut you have is 26 cm short.', self::says($page, 'section.counter:nth-of-type(1)'));
        self::assertStringContainsString('No more of this one is to be had', self::says($page, 'section.counter:nth-of-type(2)'));
    }

    public function testAnEighthYardCounterAsksForMore(): void
    {
        $this->signInToDemo();
        $this->get('/settings');
        $this->send('Save the settings', ['units' => 'imperial', 'counter' => '⅛ yd']);
        self::assertStringContainsString('44 in wide 2⅝ yd', self::says($this->get('/shopping'), 'section.counter:nth-of-type(5)'));
        self::assertStringContainsString('2¾ yd', self::says($this->get('/shopping?counter=¼ yd'), 'section.counter:nth-of-type(5)'));
    }

    public function testASeasonWithoutProjectsBuysNothing(): void
    {
        $this->browser->loginUser($this->account());
        $this->get('/season/new');
        $this->send('Save the season', ['name' => 'Rime', 'starts' => '2027-11-01', 'weeks' => '10', 'hours' => '3']);
        self::assertStringContainsString('Nothing to buy', self::says($this->get('/shopping')));
        self::assertStringContainsString('Nothing is planned for Rime yet', self::says($this->get('/season')));
    }
}
