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
            ],
            $page->filter('.to-buy label')->each(static fn ($node): string => $node->text()),
        );
        $viscose = self::says($page, '.to-buy tbody:nth-of-type(5)');
        self::assertStringContainsString('112 cm 2.30 m €20.47', $viscose, '2.10 / 0.94 + 0.06 = 2.294 → 2.30; × 8.90');
        self::assertStringContainsString('Before rounding to the counter’s 10 cm 2.294 m Ask for 2.30 m', $viscose);
        self::assertStringContainsString('Your cut is 26 cm too short.', self::says($page, '.to-buy tbody:nth-of-type(1)'));
        self::assertStringContainsString('No more of this one is to be had', self::says($page, '.to-buy tbody:nth-of-type(2)'));
    }

    public function testAtOneWidthEachClothIsALineWithItsLength(): void
    {
        $this->signInToDemo();
        $page = $this->browser->click($this->get('/shopping')->filter('.width-bar')->selectLink('112 cm')->link());
        self::assertSame('112 cm', $page->filter('.width-bar [aria-current]')->text());
        self::assertCount(6, $page->filter('.is-at-width tbody'));
        $line = self::says($page, '.is-at-width tbody:nth-of-type(5)');
        self::assertStringContainsString('112 cm 2.30 m €20.47', $line);
        // between the printed widths, the narrower row counts
        $typed = self::says($this->get('/shopping?width=100'), '.is-at-width tbody:nth-of-type(5)');
        self::assertStringContainsString('100 cm 3.10 m', $typed);
        $page = $this->get('/shopping?width=<script>lots');
        self::assertCount(0, $page->filter('.is-at-width'));
        self::assertSame('<script>lots', $page->filter('#width')->attr('value'), 'what was typed is kept');
        self::assertCount(1, $page->filter('#fault-width'));
        foreach (['0', '-3', '9999999 km', '🧵'] as $odd) {
            $this->get('/shopping?width='.urlencode($odd));
        }
    }

    public function testAnEighthYardCounterAsksForMore(): void
    {
        $this->signInToDemo();
        $this->get('/settings');
        $this->send('Save the settings', ['units' => 'imperial', 'counter' => '⅛ yd']);
        self::assertStringContainsString('44 in 2⅝ yd', self::says($this->get('/shopping'), '.to-buy tbody:nth-of-type(5)'));
        self::assertStringContainsString('2¾ yd', self::says($this->get('/shopping?counter=¼ yd'), '.to-buy tbody:nth-of-type(5)'));
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
