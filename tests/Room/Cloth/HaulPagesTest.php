<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Tests\PageTestCase;

final class HaulPagesTest extends PageTestCase
{
    public function testAHaulIsPutIntoTheStashAndTakenOutAgain(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/haul');
        $this->send('Add them to the stash', [
            'haul' => "1.8m 142cm cotton drill bottle green, 6.40/half m\n\n2 x 1.6m lawn one-way herons 136 wide\n<script>alert(1)</script> jersey",
        ]);
        self::assertResponseRedirects('/cloth?sort=newest');
        $cloths = $this->workroom($account)->cloths;
        self::assertSame(
            ['Cotton drill bottle green', 'Lawn one-way herons'],
            array_map(static fn (Cloth $cloth): string => $cloth->name, \array_slice($cloths, 0, 2)),
        );
        self::assertSame([1, 2, 1], array_map(static fn (Cloth $cloth): int => \count($cloth->cuts), $cloths));
        self::assertSame('1.8m 142cm cotton drill bottle green, 6.40/half m', $cloths[0]->keeping->notes, 'the line as typed');
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame([], $this->workroom($account)->cloths);
    }

    public function testWhatIsUnderstoodIsShownAndNothingIsSaved(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/haul');
        $page = self::says($this->post('/cloth/haul/read', ['haul' => "140cm cotton drill\n2.7m linen? chalk moons"]));
        self::assertStringContainsString('140cm: is it the length or the width?', $page);
        self::assertStringContainsString('no width: measure it to know what fits', $page);
        self::assertStringContainsString('moons', $page);
        self::assertSame([], $this->workroom($account)->cloths);
    }

    public function testAnEmptyAndAnEndlessHaulAreRefusedWithEverythingKept(): void
    {
        $this->browser->loginUser($this->account());
        $this->get('/cloth/haul');
        self::assertStringContainsString('Nothing is typed yet', self::says($this->send('Add them to the stash', ['haul' => "  \n "])));
        $page = $this->send('Add them to the stash', ['haul' => str_repeat("1m jersey\n", 301)]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('301 lines are more than the 300', self::says($page));
        self::assertSame(301, substr_count($page->filter('textarea')->text(null, false), 'jersey'));
    }

    public function testAStretchTestAndTheFeelOfAClothAreKept(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/new');
        $page = $this->send('Save the cloth', ['name' => 'Jersey', 'stretchFrom' => '10', 'stretchTo' => '9']);
        self::assertStringContainsString('Pulled, it cannot be shorter', self::says($page));
        $this->send('Save the cloth', [
            'stretchTo' => '14',
            'drape' => 'fluid',
            'opacity' => 'sheer',
            'takesCrease' => 'no',
            'clearSide' => 'no',
            'colour1' => 'Bottle green',
        ]);
        self::assertResponseRedirects();
        $cloth = $this->workroom($account)->cloths[0];
        self::assertSame(
            [40, 'fluid', 'sheer', false, false, '#0f4a35'],
            [
                $cloth->material->feel->across,
                $cloth->material->feel->drape?->value,
                $cloth->material->feel->opacity?->value,
                $cloth->material->feel->takesCrease,
                $cloth->material->feel->clearSide,
                $cloth->look->colours[0],
            ],
        );
        $says = self::says($this->get('/cloth/'.$cloth->id));
        self::assertStringContainsString('Stretches 40 % across', $says);
        self::assertStringContainsString('takes no crease', $says);
        self::assertSame(
            '14 cm',
            $this->get('/cloth/'.$cloth->id.'/edit')
                ->filter('[name=stretchTo]')
                ->attr('value'),
        );
    }
}
