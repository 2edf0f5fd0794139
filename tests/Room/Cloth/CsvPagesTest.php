<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Structure;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class CsvPagesTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->account();
        $this->browser->loginUser($this->account);
    }

    /** Mixed units, decimal commas, empty cells, another encoding, a byte order mark, double rows: every row is accounted for. */
    public function testAMessyTableOf400ClothsIsTakenOnceAndOnlyOnce(): void
    {
        $rows = [];
        for ($i = 1; $i <= 400; ++$i) {
            $length = [
                \sprintf('%d,%02d', 1 + ($i % 4), ($i % 90) + 10),
                ($i % 90) + 20 .' cm',
                1 + ($i % 3).' 1/4 yd',
                '',
                '1.'.$i % 9 .'m',
            ][$i % 5];
            $rows[] = \sprintf(
                'Crêpe n° %d;%s;%s;%s;%s;;locker %d',
                $i,
                $length,
                ['142', '54 in', '', '1,4m'][$i % 4],
                ['100% cotton', '95 cotton 5 elastane', '', 'linen'][$i % 4],
                0 === $i % 7 ? '8,50' : '',
                ($i % 6) + 1,
            );
        }
        $table =
            "Cloth;Length (m);Width (cm);Fibre content;Price per metre;;Box\r\n"
            .implode("\r\n", $rows)
            ."\r\n\r\n"
            .$rows[4]
            ."\r\n"
            .$rows[9]
            ."\r\n";
        foreach ([mb_convert_encoding($table, 'Windows-1252'), "\xEF\xBB\xBF".$table] as $i => $bytes) {
            $page = self::says($this->upload($bytes));
            self::assertStringContainsString(
                0 === $i
                    ? '402 rows, separated by semicolons, in Windows-1252: 400 new, 2 there already or twice in the file'
                    : '402 rows, separated by semicolons, in UTF-8: 0 new, 402 there already',
                $page,
            );
            if (0 === $i) {
                self::assertStringContainsString('the same as row', $page);
                $this->confirm();
                self::assertResponseRedirects('/cloth?sort=newest');
            }
        }
        $cloths = $this->workroom($this->account)->cloths;
        self::assertCount(400, $cloths);
        $named = array_combine(array_map(static fn (Cloth $cloth): string => $cloth->name, $cloths), $cloths);
        self::assertSame(
            [2_150_000, 1_371_600],
            [$named['Crêpe n° 5']->cuts[0]->length?->micrometres, $named['Crêpe n° 5']->width?->full->micrometres],
        );
        self::assertSame('locker 2', $named['Crêpe n° 7']->keeping->place);
        self::assertSame(850, $named['Crêpe n° 7']->purchase->pricePerMetre);
    }

    public function testColumnsAreMappedAndReadAgain(): void
    {
        $page = $this->upload("Foo\tBar\tBaz\nHerons\t1.8\t142\n");
        self::assertStringContainsString('no length', self::says($page));
        $page = $this->send('Read it again so', ['columns' => ['name', 'length', 'width']]);
        self::assertStringContainsString('Herons 1.80 m 142 cm', self::says($page));
        self::assertSame([], $this->workroom($this->account)->cloths, 'nothing is saved before it is confirmed');
        $this->confirm();
        self::assertSame(1_800_000, $this->workroom($this->account)->cloths[0]->cuts[0]->length?->micrometres);
    }

    public function testTheStashGoesOutAndComesBackAsItWas(): void
    {
        $this->get('/cloth/haul');
        $this->send('Add them to the stash', ['haul' => "1.8m 142cm cotton jersey green, 6.40/m\n2 x 90cm =lawn 136 wide"]);
        $this->browser->request('GET', '/cloth/csv/out');
        $csv = (string) $this->browser->getResponse()->getContent();
        self::assertStringContainsString("'=lawn", $csv, 'no formula');
        self::assertStringContainsString('0 new, 3 there already', self::says($this->upload(str_replace("'=", '=', $csv))));
        $other = $this->account('else@example.org');
        $this->browser->loginUser($other);
        $this->upload($csv);
        $this->confirm();
        $cloth = $this->workroom($other)->cloths[0];
        self::assertSame(
            [1_800_000, 1_420_000, ['cotton' => 100], Structure::Knit, 640],
            [
                $cloth->cuts[0]->length?->micrometres,
                $cloth->width?->full->micrometres,
                $cloth->material->fibres->shares,
                $cloth->material->structure,
                $cloth->purchase->pricePerMetre,
            ],
        );
    }

    public function testWhatIsNoTableIsSaid(): void
    {
        foreach (
            [
                '' => 'Choose a file first',
                "\n\n" => 'This file is empty',
                'only,headings' => 'no rows below the headings',
                "a\0b\n1\0" => 'not a table of separated values',
            ] as $bytes => $sentence
        ) {
            self::assertStringContainsString($sentence, self::says($this->upload($bytes)));
        }
    }

    /** Cells of 100 kB, and names of which nothing is seen: read in time, and the workroom is exported and read again. */
    public function testWhatNobodyTypesIsBorne(): void
    {
        $long = str_repeat('1.5m word ', 10_000);
        $start = microtime(true);
        $this->upload("name,length,width,notes\n\u{AD},2 m,140 cm,\n$long,2 m,140 cm,$long\nLawn,2 m,140 cm,a\u{200B}b\n");
        $this->confirm();
        self::assertLessThan(8.0, microtime(true) - $start);
        $json = $this->service(WorkroomWriter::class)->write($this->workroom($this->account));
        self::assertCount(3, (new WorkroomReader())->read($json)->cloths);
    }

    /** Notions and patterns likewise. */
    public function testOfNotionsAndPatternsToo(): void
    {
        $long = str_repeat('1.5m word, ', 10_000);
        $this->upload("kind,name,length,place,notes\n\u{AD},\u{AD},1 m,\u{AD},\nelastic,$long,2 m,$long,$long\n", '/notions/csv');
        $this->confirm();
        $this->upload("number,title,maker,place,notes\n\u{AD},\u{AD},\u{AD},\u{AD},\nK871,$long,$long,$long,$long\n", '/patterns/csv');
        $this->confirm();
        $json = $this->service(WorkroomWriter::class)->write($this->workroom($this->account));
        $read = (new WorkroomReader())->read($json);
        self::assertNotEmpty($read->notions);
        self::assertNotEmpty($read->patterns);
    }

    private function upload(string $bytes, string $page = '/cloth/csv'): Crawler
    {
        $token = (string) $this->get($page)->filter('meta[name=csrf]')->attr('content');
        $file = (string) tempnam(sys_get_temp_dir(), 'csv');
        file_put_contents($file, $bytes);

        return $this->browser->request(
            'POST',
            $page,
            ['_token' => $token],
            ['file' => new UploadedFile($file, 'stash.csv', 'text/csv', null, true)],
        );
    }

    private function confirm(): void
    {
        $form = $this->browser->getCrawler()->filter('button[name=confirmed]')->form();
        $this->browser->submit($form);
    }
}
