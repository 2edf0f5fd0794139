<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Piece\Garment;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** Patterns and notions from a spreadsheet and to one. */
final class PatternCsvPagesTest extends PageTestCase
{
    public function testATableOfPatternsIsTakenOnceAndOnlyOnce(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $table =
            "Brand;Name;No.;Also;Sizes;Format;State;Owned;Notions;Hours;Box;Shop\nMarrowlane;Towpath coat, short;T118;;8-14;tissue;uncut;yes;4 buttons 25 mm, shoulder pads;16;Box 3;Market\nTallowbridge;Evensong dress;K204;K871 / K900;S-XL;PDF;not printed;no;;;;\n;;;;;;;;;;;\nMarrowlane;Towpath coat, short;T118;;8-14;tissue;uncut;yes;4 buttons 25 mm, shoulder pads;16;Box 3;Market\n";
        $page = self::says($this->bring('/patterns/csv', $table));
        self::assertStringContainsString('3 rows, separated by semicolons, in UTF-8: 2 new, 1 there already or twice in the file', $page);
        self::assertSame([], $this->workroom($account)->patterns, 'nothing is saved before it is confirmed');
        $this->send('Put 2 patterns into the library', ['confirmed' => '1']);
        [$coat, $dress] = $this->workroom($account)->patterns;
        self::assertSame(
            ['Towpath coat, short', 'Marrowlane', 'T118', Garment::Coat, PatternFormat::Tissue, 960, 'Box 3', 'Shop: Market'],
            [
                $coat->title,
                $coat->label->maker,
                $coat->label->number,
                $coat->makes->garment,
                $coat->keeping->format,
                $coat->makes->minutes,
                $coat->keeping->place,
                $coat->keeping->notes,
            ],
        );
        self::assertSame(
            [['8', '10', '12', '14'], PaperState::Uncut],
            [$coat->keeping->editions[0]->sizes, $coat->keeping->editions[0]->paper],
        );
        self::assertSame(['4 buttons 25 mm', 'shoulder pads'], $coat->versions[0]->notions);
        self::assertSame(
            [['K871', 'K900'], Ownership::Wished, ['S', 'M', 'L', 'XL']],
            [$dress->label->otherNumbers, $dress->keeping->ownership, $dress->keeping->editions[0]->sizes],
        );
        self::assertStringContainsString('0 new, 3 there already', self::says($this->bring('/patterns/csv', $table)));

        $this->get('/patterns/csv/out');
        $out = $this->browser->getInternalResponse()->getContent();
        self::assertStringContainsString('"Towpath coat, short",Marrowlane,T118', $out);
        self::assertStringContainsString(
            '0 new, 2 there already',
            self::says($this->bring('/patterns/csv', $out)),
            'what goes out comes in again',
        );
    }

    public function testATableOfNotionsIsTakenOnceAndOnlyOnce(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $table =
            "Item,Size (mm),Qty,Colour,Tin\nButtons,11,7,shell,tin 2\nElastic,10,150 cm,soft,\nInvisible zip,55 cm,1,navy,drawer\nfeathers,,3,,\n";
        $page = self::says($this->bring('/notions/csv', $table));
        self::assertStringContainsString('4 rows, separated by commas, in UTF-8: 4 new', $page);
        self::assertStringContainsString('no kind of notion is known in it', $page);
        $this->send('Add 4 notions to yours', ['confirmed' => '1']);
        $notions = $this->workroom($account)->notions;
        self::assertSame(
            [11, 7, 'shell', 'tin 2'],
            [$notions[0]->measure?->millimetres(), $notions[0]->count, $notions[0]->name, $notions[0]->place],
        );
        self::assertSame(
            [10, 1500, 'soft'],
            [$notions[1]->measure?->millimetres(), $notions[1]->length?->millimetres(), $notions[1]->name],
        );
        self::assertSame([550, 'navy Invisible'], [$notions[2]->measure?->millimetres(), $notions[2]->name]);
        self::assertStringContainsString('0 new, 4 there already', self::says($this->bring('/notions/csv', $table)));
        $this->get('/notions/csv/out');
        self::assertStringContainsString(
            '0 new, 4 there already',
            self::says($this->bring('/notions/csv', $this->browser->getInternalResponse()->getContent())),
            'what goes out comes in again',
        );
    }

    public function testAFileThatIsNoTableIsRefused(): void
    {
        $this->browser->loginUser($this->account());
        foreach (['/patterns/csv', '/notions/csv'] as $path) {
            self::assertStringContainsString('This is not a table', self::says($this->bring($path, "\x89PNG\r\n\x1a\n\0\0\0")));
            self::assertStringContainsString('Choose a file first', self::says($this->post($path)));
        }
    }

    private function bring(string $path, string $table): Crawler
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'table');
        file_put_contents($file, $table);
        $this->get($path);
        $page = $this->browser->request(
            'POST',
            $path,
            ['_token' => (string) $this->browser->getCrawler()->filter('meta[name=csrf]')->attr('content')],
            ['file' => new UploadedFile($file, 'table.csv', test: true)],
        );
        @unlink($file);

        return $page;
    }
}
