<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Cloth\Recovery;
use Octavum\Tests\PageTestCase;

final class ApartPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testAShirtTakenApartIsSeveralCutsAndOneUndo(): void
    {
        $before = $this->cloth('Marsh chambray');
        $this->get('/cloth/'.$before->id);
        $this->send('Add the pieces', ['parts' => "back 75 × 60 cm\n2 sleeves 55 × 40", 'cut' => $before->cuts[0]->id, 'washed' => '1']);
        self::assertResponseRedirects('/cloth/'.$before->id);
        $after = $this->cloth('Marsh chambray');
        self::assertTrue($after->cuts[0]->gone, 'the whole is no longer here');
        self::assertSame(
            [['back', 750, 600, true], ['sleeves 1', 550, 400, true], ['sleeves 2', 550, 400, true]],
            array_map(
                static fn (Cut $cut): array => [$cut->label, $cut->length?->millimetres(), $cut->width?->millimetres(), $cut->settled],
                \array_slice($after->cuts, 1),
            ),
        );
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('3 pieces of Marsh chambray, each a cut of its own.', self::says($page));
        $this->post((string) $page->filter('.toast form')->attr('action'));
        self::assertEquals($before, $this->cloth('Marsh chambray'));
    }

    public function testWhatCannotBeReadIsKeptAndNothingIsSaved(): void
    {
        $before = $this->cloth('Marsh chambray');
        foreach (['', 'the rest', '<script>', str_repeat('🧵', 300), 'a 1 x 1 cm', "back 75 × 60\nsleeve -3 × 40"] as $i => $parts) {
            $this->get('/cloth/'.$before->id);
            $page = $this->send('Add the pieces', ['parts' => $parts]);
            if (4 !== $i) {
                self::assertResponseStatusCodeSame(422, $parts);
                self::assertSame(trim($parts), $page->filter('[name=parts]')->text(normalizeWhitespace: false));
            }
        }
        self::assertCount(\count($before->cuts) + 1, $this->cloth('Marsh chambray')->cuts, 'a piece of a centimetre is a piece');
    }

    public function testAnothersCutIsNotTakenApart(): void
    {
        $cloth = $this->cloth('Marsh chambray');
        $other = $this->cloth('Moss linen')->cuts[0]->id;
        $this->get('/cloth/'.$cloth->id);
        $this->post('/cloth/'.$cloth->id.'/apart', ['parts' => 'back 75 × 60', 'cut' => $other]);
        self::assertResponseStatusCodeSame(404);
        self::assertEquals($cloth, $this->cloth('Marsh chambray'));
        $this->browser->loginUser($this->account('else@example.org'));
        $this->get('/cloth');
        $this->post('/cloth/'.$cloth->id.'/apart', ['parts' => 'back 75 × 60']);
        self::assertResponseStatusCodeSame(404);
    }

    public function testACutIsAddedWithItsOwnWidth(): void
    {
        $cloth = $this->cloth('Marsh chambray');
        $this->get('/cloth/'.$cloth->id);
        $this->send('Add the cut', ['length' => '1.1 m', 'width' => '45 cm', 'label' => 'strip']);
        $strip = $this->cloth('Marsh chambray')->cuts[1];
        self::assertSame([1100, 450], [$strip->length?->millimetres(), $strip->width?->millimetres()]);
        self::assertStringContainsString('45 cm', self::says($this->get('/cloth/'.$cloth->id), '#cut-'.$strip->id));
        foreach ([['length' => '1.1 m', 'width' => '9 m'], ['length' => '100.01 m', 'width' => '']] as $fields) {
            $this->send('Add the cut', $fields);
            self::assertResponseStatusCodeSame(422);
        }
        $this->post('/cut/'.$strip->id.'/ledger', ['kind' => 'measured', 'length' => '250 m']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame(1100, $this->cloth('Marsh chambray')->cuts[1]->length?->millimetres());
        self::assertCount(2, $this->cloth('Marsh chambray')->cuts);
    }

    public function testADyedCutShrinksAndTheClothTakesItsColour(): void
    {
        $cloth = $this->cloth('Marsh chambray');
        $this->get('/cloth/'.$cloth->id);
        $this->send('Save this entry', ['kind' => 'dyed', 'length' => '1.9 m', 'colour' => '#7a2f1d']);
        $dyed = $this->cloth('Marsh chambray');
        $entry = $dyed->cuts[0]->ledger[\count($dyed->cuts[0]->ledger) - 1];
        self::assertSame([$cloth->look->colours[0], '#7a2f1d'], [$entry->was, $entry->colour]);
        self::assertSame('#7a2f1d', $dyed->look->colours[0]);
        self::assertTrue($dyed->cuts[0]->settled);
        $this->post((string) $this->get('/cloth/'.$cloth->id)->filter('.toast form')->attr('action'));
        self::assertEquals($cloth, $this->cloth('Marsh chambray'));
        $moss = $this->cloth('Moss linen');
        $this->get('/cloth/'.$moss->id);
        $this->post('/cut/'.$moss->cuts[1]->id.'/ledger', ['kind' => 'dyed', 'length' => '0.8 m', 'colour' => '#101010']);
        self::assertSame($moss->look->colours, $this->cloth('Moss linen')->look->colours, 'the other cut was not dyed');
    }

    public function testWhereItCameFromAndHowItBehavesAreKept(): void
    {
        $cloth = $this->cloth('Marsh chambray');
        $this->get('/cloth/'.$cloth->id.'/edit');
        $this->send('Save the cloth', [
            'from' => 'a gift of Odalys',
            'gotOn' => '2026-10-03',
            'called' => 'Soft chambray <b>No 4</b>',
            'recovery' => 'springs back',
            'edges' => 'fray',
            'backSeen' => 'no',
            'motif' => '12 cm',
        ]);
        $after = $this->cloth('Marsh chambray');
        self::assertSame(
            ['a gift of Odalys', '2026-10-03', 'Soft chambray <b>No 4</b>'],
            [$after->purchase->origin->from, $after->purchase->origin->on?->format('Y-m-d'), $after->purchase->origin->called],
        );
        self::assertSame(
            [Recovery::SpringsBack, Edges::Fray, false, 120],
            [
                $after->material->feel->recovery,
                $after->material->feel->edges,
                $after->material->feel->backSeen,
                $after->look->motif?->millimetres(),
            ],
        );
        $page = $this->get('/cloth/'.$cloth->id);
        self::assertStringContainsString(
            'a gift of Odalys, 3 Oct 2026, sold as “Soft chambray <b>No 4</b>”',
            $page->filter('.facts')->text(),
        );
        self::assertStringContainsString('not fit to be seen', self::says($page));
    }

    private function cloth(string $name): Cloth
    {
        foreach ($this->workroom($this->account)->cloths as $cloth) {
            if ($cloth->name === $name) {
                return $cloth;
            }
        }
        self::fail('There is no '.$name);
    }
}
