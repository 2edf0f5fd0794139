<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Doctrine\DBAL\Connection;
use Octavum\Account\Account;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class PiecePagesTest extends PageTestCase
{
    private const SVG = '<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="600mm" viewBox="0 0 400 600">'
        .'<g id="Back"><path d="M0 0H300V500H40Z"/><path d="M20 20H200V300H40Z"/></g>'
        .'<g id="Cuff"><rect x="310" width="80" height="240"/></g></svg>';

    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->account();
        $this->browser->loginUser($this->account);
        $this->get('/patterns/new');
        $this->send('Save the pattern', [
            'title' => 'Evensong dress',
            'versionName' => 'A',
            'sizes' => ['12', '14', '16', ''],
            'rows' => [['role' => 'main', 'width' => '150', 'cells' => ['2', '2.1', '2.2', '']]],
        ]);
    }

    public function testABoxIsMeasuredAndDrawnInItsSizes(): void
    {
        $this->get($this->path('/new'));
        $this->send('Save the piece', [
            'pieceName' => 'Cuff',
            'quantity' => '4',
            'grain' => 'either',
            'instead' => ['OtherCloth' => '1'],
            'shapes' => [['allowance' => '1 cm', 'm' => ['length' => '26', 'width' => '8,5 cm']]],
        ]);
        self::assertResponseRedirects();
        [$piece] = $this->pieces();
        self::assertSame(
            ['Cuff', 4, Grain::Either, [Instead::OtherCloth]],
            [$piece->name, $piece->quantity, $piece->grain, $piece->instead],
        );
        $outline = $piece->in('14')?->cutOut(false);
        self::assertSame([280.0, 105.0], [$outline?->length(), $outline?->width()]);
        self::assertStringContainsString('× 4', self::says($this->get($this->path())));
        self::assertSame(['12', '14', '16'], array_map(strval(...), array_keys($this->version()->pieces->marks)));
    }

    public function testOnePieceAfterAnotherIsMeasuredWithoutLeavingTheForm(): void
    {
        $this->get($this->path('/new'));
        self::assertSame('', $this->browser->getCrawler()->filter('[name=pieceName]')->attr('autofocus'));
        $page = $this->send('Save the piece', ['pieceName' => 'Cuff']);
        self::assertResponseStatusCodeSame(422, 'nothing is measured yet');
        self::assertStringContainsString('Length is missing: measure it on the paper.', self::says($page));
        foreach (['Cuff', 'Collar'] as $name) {
            $this->send('Save, and enter another', [
                'pieceName' => $name,
                'shapes' => [['m' => ['length' => '26', 'width' => '8']]],
                'another' => '1',
            ]);
            self::assertResponseRedirects($this->path('/new').'?draft=box');
            $page = $this->browser->followRedirect();
            self::assertSame('', $page->filter('[name=pieceName]')->attr('value'));
        }
        self::assertSame(['Cuff', 'Collar'], array_map(static fn (Piece $piece): string => $piece->name, $this->pieces()));
        $this->get($this->path('/0'));
        self::assertCount(0, $this->browser->getCrawler()->selectButton('Save, and enter another'), 'what is changed is one piece');
    }

    public function testAShapeIsDrawnFromItsMeasurementsInAColumnForEachSize(): void
    {
        $this->get($this->path('/new'));
        $page = $this->send('Take this shape', ['draft' => 'sleeve', 'pieceName' => '']);
        self::assertSame(
            ['Sleeve', '2', '60 cm'],
            [
                $page->filter('[name=pieceName]')->attr('value'),
                $page->filter('[name=quantity]')->attr('value'),
                $page->filter('[name="shapes[0][m][length]"]')->attr('value'),
            ],
        );
        $page = $this->send('One more column for other sizes', ['shapes' => [['sizes' => '12', 'm' => ['length' => '58']]]]);
        self::assertSame(
            '58',
            $page->filter('[name="shapes[1][m][length]"]')->attr('value'),
            'the column beside it is the start of the new one',
        );
        $this->send('Save the piece', ['shapes' => [1 => ['sizes' => '14, 16', 'm' => ['length' => '62']]]]);
        self::assertResponseRedirects();
        [$sleeve] = $this->pieces();
        self::assertTrue($sleeve->pair);
        self::assertSame(Draft::Sleeve, $sleeve->shapes[0]->drafted?->draft);
        self::assertEqualsWithDelta(
            [610, 650],
            [$sleeve->in('12')?->cutOut(false)->length(), $sleeve->in('16')?->cutOut(false)->length()],
            0.5,
        );
        $edit = $this->get($this->path('/0'));
        self::assertSame('62 cm', $edit->filter('[name="shapes[1][m][length]"]')->attr('value'));
        $says = self::says($this->get($this->path().'?size=16'));
        self::assertStringContainsString('one scale', $says);
        self::assertStringNotContainsString('not measured', $says);
        $this->get($this->path('/new?draft=collar'));
        $this->send('Save the piece', ['pieceName' => 'Collar']);
        self::assertSame(1, substr_count(self::says($this->get($this->path())), 'in usual proportions, not measured'));
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('nonsense')]
    public function testNonsenseIsNamedAndNothingIsLost(array $fields, string $sentence): void
    {
        $this->get($this->path('/new?draft=bodice front'));
        $page = $this->send('Save the piece', $fields + ['pieceName' => 'Front <script>']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($sentence, self::says($page));
        self::assertSame($fields['pieceName'] ?? 'Front <script>', $page->filter('[name=pieceName]')->attr('value'));
        self::assertSame([], $this->pieces());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'no name' => [['pieceName' => ''], 'A name is missing'];
        yield 'an odd pair' => [['pair' => '1', 'quantity' => '3'], 'A left and a right make an even number'];
        yield 'a length in words' => [['shapes' => [['m' => ['length' => 'long']]]], 'cannot be read as a length'];
        yield 'a missing measure' => [['shapes' => [['m' => ['shoulder' => '']]]], 'Shoulder is missing: measure it on the paper.'];
        yield 'a giant' => [['shapes' => [['m' => ['length' => '90 m']]]], 'Length: 90000 mm cannot be'];
        yield 'measures that do not go together' => [
            ['shapes' => [['m' => ['length' => '10', 'armhole depth' => '40']]]],
            'do not go together',
        ];
        yield 'a size not in the table' => [['shapes' => [['sizes' => '99']]], 'Size 99 is not in the table'];
        yield 'a wide allowance' => [['shapes' => [['allowance' => '20 cm']]], 'more than 10 cm'];
    }

    public function testTheDrawingFollowsWhatIsTyped(): void
    {
        $this->get($this->path('/new'));
        $page = $this->post('/pieces/draw', [
            'draft' => 'box',
            'pieceName' => 'Yoke',
            'quantity' => '1',
            'shapes' => [['m' => ['length' => '45', 'width' => '12']]],
        ]);
        self::assertStringContainsString('Yoke: 45 cm long, 12 cm wide', (string) $page->filter('svg')->attr('aria-label'));
        $this->get($this->path('/new'));
        self::assertStringContainsString(
            'cannot be read',
            self::says($this->post('/pieces/draw', ['draft' => 'box', 'shapes' => [['m' => ['length' => 'x', 'width' => '12']]]])),
        );
    }

    public function testPiecesAreTakenFromAFileAtAConfirmedScale(): void
    {
        $page = $this->upload(self::SVG);
        self::assertStringContainsString('In the file the longer side of “Back” is 50.0 cm.', self::says($page));
        $this->send('Take these pieces', [
            'known' => '1 m',
            'sizes' => '14',
            'allowance' => '1,5',
            'found' => [['onFold' => '1', 'quantity' => '1'], ['quantity' => '2', 'pair' => '1', 'name' => 'Cuff']],
        ]);
        self::assertResponseRedirects();
        [$back, $cuff] = $this->pieces();
        $outline = $back->in('14')?->drawn;
        self::assertSame(
            [1000.0, 600.0, 0.0],
            [$outline?->length(), $outline?->width(), $outline?->bottom],
            'the grain runs down the page, and the scale is doubled',
        );
        self::assertTrue($back->onFold && $cuff->pair);
        self::assertNull($back->in('12'));
        $this->get($this->path());
        $this->send('undo', []);
        self::assertSame([], $this->pieces(), 'undone');
    }

    public function testWhatCannotBeTakenFromAFileIsSaid(): void
    {
        self::assertStringContainsString(
            'could run something',
            self::says($this->upload('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>')),
        );
        self::assertStringContainsString('not a whole SVG', self::says($this->upload('nothing')));
        self::assertStringContainsString(
            '“bow” was left out',
            self::says(
                $this->upload(
                    '<svg xmlns="http://www.w3.org/2000/svg"><path id="bow" d="M0 0L900 900L900 0L0 900Z"/><rect id="r" width="300" height="300"/></svg>',
                ),
            ),
        );
        self::assertStringContainsString('Choose a file first', self::says($this->post($this->path('/import'))));
        $this->upload('<svg xmlns="http://www.w3.org/2000/svg"><circle id="r" r="300"/></svg>');
        self::assertStringContainsString(
            'no straight edge along the grain',
            self::says($this->send('Take these pieces', ['found' => [['onFold' => '1']]])),
        );
        $this->upload(self::SVG);
        self::assertStringContainsString(
            'Nothing is ticked',
            self::says(
                $this->post($this->path('/import'), ['taking' => '1', 'found' => [['name' => 'Back', 'outline' => '[[0,0],[9,0],[9,9]]']]]),
            ),
        );
        self::assertSame([], $this->pieces());
    }

    public function testPiecesAreCopiedToOtherSizesWithAGradeAndTakenOut(): void
    {
        $this->get($this->path('/new'));
        $this->send('Save the piece', [
            'pieceName' => 'Panel',
            'shapes' => [['sizes' => '14', 'allowance' => '', 'm' => ['length' => '50', 'width' => '40']]],
        ]);
        $this->get($this->path('/copy'));
        self::assertStringContainsString(
            'has no pieces in size 12',
            self::says($this->send('Copy the pieces', ['from' => 'Evensong dress, A', 'fromSize' => '12', 'toSizes' => '16'])),
        );
        $this->send('Copy the pieces', [
            'from' => 'Evensong dress, A',
            'fromSize' => '14',
            'toSizes' => '16',
            'along' => '102',
            'across' => '110',
        ]);
        self::assertResponseRedirects();
        [$panel] = $this->pieces();
        self::assertSame([510.0, 440.0], [$panel->in('16')?->drawn->length(), $panel->in('16')?->drawn->width()]);
        self::assertSame(500.0, $panel->in('14')?->drawn->length(), 'the other size is as it was');
        $this->get($this->path());
        $this->send('Take it out', []);
        self::assertSame([], $this->pieces());
        $undo = $this->browser->followRedirect()->filter('.toast form')->form();
        $this->get($this->path('/new'));
        $this->send('Save the piece', [
            'pieceName' => 'Strap',
            'shapes' => [['sizes' => '14', 'allowance' => '', 'm' => ['length' => '50', 'width' => '4']]],
        ]);
        $this->get($this->path());
        $this->post($this->path('/remove'), ['piece' => 'Panel']);
        self::assertSame(['Strap'], array_column($this->pieces(), 'name'), 'said twice, it takes out no other');
        $this->browser->submit($undo);
        self::assertSame(['Panel', 'Strap'], array_column($this->pieces(), 'name'), 'what was added since stays');
    }

    public function testAVersionHoldsThreeHundredPiecesAndNotOneMore(): void
    {
        $this->get($this->path('/new'));
        $strap = ['pieceName' => 'Strap', 'shapes' => [['sizes' => '14', 'allowance' => '', 'm' => ['length' => '50', 'width' => '4']]]];
        $this->send('Save the piece', $strap);
        $connection = $this->service(Connection::class);
        $stored = $connection->fetchOne('SELECT pieces FROM piece_set');
        $piece = ((array) json_decode(\is_string($stored) ? $stored : '', true))[0];
        self::assertIsArray($piece);
        $all = array_map(static fn (int $i): array => ['name' => 'Strap '.$i] + $piece, range(1, PieceCodec::MOST_PIECES));
        $connection->executeStatement('UPDATE piece_set SET pieces = ?', [json_encode($all)]);
        $this->get($this->path('/new'));
        $page = $this->send('Save the piece', $strap);
        self::assertStringContainsString('The version would have 301 pieces; it holds 300.', self::says($page));
        $this->get($this->path('/copy'));
        $this->send('Copy the pieces', ['from' => 'Evensong dress, A', 'fromSize' => '14', 'toSizes' => '16']);
        self::assertResponseRedirects(message: 'further sizes of the same pieces');
        self::assertCount(PieceCodec::MOST_PIECES, $this->pieces());
    }

    public function testAnotherAccountsPiecesAreNotThere(): void
    {
        $path = $this->path();
        $this->browser->loginUser($this->account('else@example.org'));
        foreach (['', '/new', '/import', '/copy', '/0'] as $page) {
            $this->browser->request('GET', $path.$page);
            self::assertResponseStatusCodeSame(404, $page);
        }
    }

    private function upload(string $svg): \Symfony\Component\DomCrawler\Crawler
    {
        $this->get($this->path('/import'));
        $file = tempnam(sys_get_temp_dir(), 'svg');
        file_put_contents((string) $file, $svg);

        return $this->browser->request(
            'POST',
            $this->path('/import'),
            ['_token' => $this->token()],
            ['file' => new UploadedFile((string) $file, 'pieces.svg', 'image/svg+xml', null, true)],
        );
    }

    private function token(): string
    {
        return (string) $this->get($this->path('/new'))->filter('meta[name=csrf]')->attr('content');
    }

    private function version(): Version
    {
        return $this->workroom($this->account)->patterns[0]->versions[0];
    }

    /**
     * @return list<Piece>
     *
     * @phpstan-impure
     */
    private function pieces(): array
    {
        return $this->version()->pieces->all();
    }

    private function path(string $more = ''): string
    {
        return '/versions/'.$this->version()->id.'/pieces'.$more;
    }
}
