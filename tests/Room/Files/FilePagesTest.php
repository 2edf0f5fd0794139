<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Files;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Colour\Lab;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Files\FileKind;
use Octavum\Files\FileRecord;
use Octavum\Files\FileShelf;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** What may be uploaded, what is kept of it, and who may see it. */
final class FilePagesTest extends PageTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/octavum-files-'.bin2hex(random_bytes(6));
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
        parent::tearDown();
    }

    public function testAPhotoIsPaintedAnewWithoutWhatTheCameraWroteAndItsColoursAreOffered(): void
    {
        [$account, $id] = $this->signedInWithACloth();
        $photo = $this->file('holiday.jpg', $this->withPosition($this->jpeg(900, 1200, [39, 64, 94])));
        self::assertStringContainsString('GPS-51.5', (string) file_get_contents($photo));
        $this->upload('/cloth/'.$id.'/photo', 'photo', $photo);
        self::assertResponseRedirects();
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('without what the camera wrote into it', self::says($page));

        $this->browser->request('GET', (string) $page->filter('.photo a')->attr('href'));
        self::assertResponseIsSuccessful();
        self::assertResponseHeaderSame('Content-Type', 'image/jpeg');
        $kept = $this->handedOut();
        self::assertStringNotContainsString('GPS-51.5', $kept);
        self::assertStringNotContainsString('Exif', $kept);
        self::assertSame([900, 1200], \array_slice((array) getimagesizefromstring($kept), 0, 2));

        $this->get('/cloth/'.$id);
        $this->send('Take these colours', []);
        $cloth = $this->workroom($account)->cloths[0];
        self::assertLessThan(3, Lab::ofHex($cloth->look->colours[0])->difference(Lab::ofHex('#27405e')));
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame([], $this->workroom($account)->cloths[0]->look->colours);

        $this->get('/cloth/'.$id);
        $this->send('Take the photo off', []);
        self::assertNull($this->workroom($account)->cloths[0]->keeping->photo);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame($cloth->keeping->photo, $this->workroom($account)->cloths[0]->keeping->photo);
    }

    public function testWebPAndTransparentPicturesAreKeptAsPlainPictures(): void
    {
        [, $id] = $this->signedInWithACloth();
        $image = imagecreatetruecolor(80, 60);
        imagesavealpha($image, true);
        imagefill($image, 0, 0, (int) imagecolorallocatealpha($image, 0, 0, 0, 127));
        ob_start();
        imagewebp($image);
        $webp = (string) ob_get_clean();
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('clear.webp', $webp));
        $page = $this->browser->followRedirect();
        $this->browser->request('GET', (string) $page->filter('.photo a')->attr('href'));
        $kept = imagecreatefromstring($this->handedOut());
        self::assertInstanceOf(\GdImage::class, $kept);
        self::assertSame([80, 60], [imagesx($kept), imagesy($kept)]);
        self::assertGreaterThan(250, imagecolorat($kept, 40, 30) & 255, 'nothing shines through: it lies on white');
    }

    public function testATurnedPhotoIsStoodUpright(): void
    {
        [, $id] = $this->signedInWithACloth();
        // Exif says: turned by 90°. Little-endian, one entry, orientation (0x0112) = 6.
        $exif = "Exif\0\0II*\0\x08\0\0\0\x01\0\x12\x01\x03\0\x01\0\0\0\x06\0\0\0\0\0\0\0";
        $jpeg = $this->jpeg(200, 100, [39, 64, 94]);
        $this->upload(
            '/cloth/'.$id.'/photo',
            'photo',
            $this->file('turned.jpg', substr($jpeg, 0, 2)."\xff\xe1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2)),
        );
        $page = $this->browser->followRedirect();
        $this->browser->request('GET', (string) $page->filter('.photo a')->attr('href'));
        self::assertSame([100, 200], \array_slice((array) getimagesizefromstring($this->handedOut()), 0, 2));
    }

    public function testWithTheAccountGoAllItsFiles(): void
    {
        [$account, $id] = $this->signedInWithACloth();
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('a.jpg', $this->jpeg(40, 40, [1, 2, 3])));
        $folder = \dirname($this->service(FileShelf::class)->path(new FileRecord($account, 'x', FileKind::Picture, 1)));
        self::assertDirectoryExists($folder);
        $this->get('/settings');
        $this->send('Delete the account and all its data', ['confirm' => 'delete', 'currentPassword' => 'four quiet lockers']);
        self::assertDirectoryDoesNotExist($folder);
    }

    public function testWhatWasTakenOffIsSweptAfterAWeek(): void
    {
        [$account, $id] = $this->signedInWithACloth();
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('a.jpg', $this->jpeg(40, 40, [1, 2, 3])));
        $first = (string) $this->workroom($account)->cloths[0]->keeping->photo;
        $shelf = $this->service(FileShelf::class);
        $record = $shelf->oneOf($this->fresh($account), $first) ?? self::fail('The photo is gone.');
        $path = $shelf->path($record);
        $record->removedAt = new \DateTimeImmutable('-8 days');
        $this->service(EntityManagerInterface::class)->flush();
        $this->get('/cloth/'.$id);
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('b.jpg', $this->jpeg(40, 40, [9, 9, 9])));
        self::assertFileDoesNotExist($path);
        self::assertNull($shelf->oneOf($this->fresh($account), $first));
    }

    public function testALargePhotoIsMadeSmaller(): void
    {
        [, $id] = $this->signedInWithACloth();
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('large.png', $this->png(3000, 2000)));
        $page = $this->browser->followRedirect();
        $this->browser->request('GET', (string) $page->filter('.photo a')->attr('href'));
        self::assertSame([1600, 1067], \array_slice((array) getimagesizefromstring($this->handedOut()), 0, 2));
    }

    /** @param \Closure(self): string $content */
    #[DataProvider('refused')]
    public function testWhatIsNoPhotoIsRefusedWithASentence(string $name, \Closure $content, string $says): void
    {
        [$account, $id] = $this->signedInWithACloth();
        $page = $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file($name, $content($this)));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString($says, self::says($page));
        self::assertNull($this->workroom($account)->cloths[0]->keeping->photo);
    }

    /** @return iterable<string, array{string, \Closure(self): string, string}> */
    public static function refused(): iterable
    {
        yield 'a program named .jpg' => [
            'cloth.jpg',
            static fn (): string => '<?php system($_GET["c"]);',
            'is not a photo that can be read here (text/x-php)',
        ];
        yield 'a picture that holds gigabytes' => [
            'bomb.png',
            static fn (self $test): string => $test->pngHeader(10, 10, 200_000_000),
            'holds far more than a picture of 10 by 10 points',
        ];
        yield 'a picture that would not fit into memory' => [
            'bomb.png',
            static fn (self $test): string => $test->pngHeader(20_000, 20_000),
            'is 20000 by 20000 points large',
        ];
        yield 'a drawing with a script' => [
            'drawing.svg',
            static fn (): string => '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
            'is not a photo that can be read here (image/svg+xml)',
        ];
        yield 'a file of 60 MB' => [
            'huge.jpg',
            static fn (self $test): string => $test->jpeg(20, 20, [1, 2, 3]).str_repeat("\0", 60_000_000),
            'is larger than 25 MB',
        ];
        yield 'a photo cut off' => [
            'half.jpg',
            static fn (self $test): string => substr($test->jpeg(400, 400, [9, 9, 9]), 0, 100),
            'it may have been cut off',
        ];
        yield 'nothing at all' => ['empty.jpg', static fn (): string => '', 'is not a photo that can be read here'];
    }

    public function testNoFileAtAllIsSaid(): void
    {
        [, $id] = $this->signedInWithACloth();
        self::assertStringContainsString('Choose a file first', self::says($this->post('/cloth/'.$id.'/photo')));
    }

    public function testFilesOfAPatternAreKeptTakenOutAndPutBack(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/patterns/new');
        $this->send('Save the pattern', ['title' => 'Blouse']);
        $id = $this->workroom($account)->patterns[0]->id;
        $this->get('/patterns/'.$id);
        $pdf = "%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF";
        $this->upload('/patterns/'.$id.'/files', 'file', $this->file('../../<b>steps</b>.pdf', $pdf, 'steps.pdf'));
        $page = $this->browser->followRedirect();
        $link = $page->filter('.files a')->first();
        $this->browser->request('GET', (string) $link->attr('href'));
        self::assertResponseHeaderSame('Content-Type', 'application/pdf');
        self::assertStringStartsWith('attachment;', (string) $this->browser->getResponse()->headers->get('Content-Disposition'));
        self::assertResponseHeaderSame('X-Content-Type-Options', 'nosniff');
        self::assertSame($pdf, $this->handedOut());
        $this->get('/patterns/'.$id);
        self::assertStringContainsString(
            'can not be kept here (text/x-php)',
            self::says($this->upload('/patterns/'.$id.'/files', 'file', $this->file('steps.pdf', '<?php echo 1;'))),
        );
        $this->get('/patterns/'.$id);
        $this->send('take out', []);
        self::assertSame([], $this->workroom($account)->patterns[0]->keeping->files);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertCount(1, $this->workroom($account)->patterns[0]->keeping->files);
    }

    public function testAPictureIsKeptWithAProjectTakenOutAndBack(): void
    {
        $account = $this->signInToDemo();
        $id = $this->project('Towpath coat')->id;
        $this->get('/project/'.$id.'/notes');
        $this->upload('/project/'.$id.'/picture', 'picture', $this->file('hem.jpg', $this->jpeg(40, 40, [1, 2, 3])), [
            'note' => ' Hem pinned ',
        ]);
        self::assertResponseRedirects('/project/'.$id.'/notes');
        [$picture] = $this->project('Towpath coat')->log->pictures;
        self::assertSame('Hem pinned', $picture->note);
        $page = $this->get('/project/'.$id.'/notes');
        self::assertSame('Hem pinned', $page->filter('#pictures img')->attr('alt'));
        $this->get('/project/'.$id.'/change');
        $this->send('Save the project', ['notes' => 'Pinned on Sunday.']);
        self::assertCount(1, $this->project('Towpath coat')->log->pictures, 'the form leaves it where it is');
        $this->get('/project/'.$id.'/notes');
        $this->post('/project/'.$id.'/picture/'.$picture->file.'/remove');
        self::assertSame([], $this->project('Towpath coat')->log->pictures);
        $this->get('/project/'.$id.'/notes');
        $this->send('undo', []);
        self::assertEquals([$picture], $this->project('Towpath coat')->log->pictures);
        $this->get('/file/'.$picture->file);
        $this->get('/project/'.$id.'/notes');
        $this->upload('/project/'.$id.'/picture', 'picture', $this->file('not.jpg', 'nothing to see'));
        self::assertStringContainsString('is not a photo that can be read here', self::says($this->browser->followRedirect()));
        $written = (new WorkroomWriter())->write($this->workroom($account));
        self::assertSame($written, (new WorkroomWriter())->write((new WorkroomReader())->read($written)));
        self::assertStringContainsString('Hem pinned', $written);
    }

    public function testAnotherAccountsFilesAreNotHandedOut(): void
    {
        [$account, $id] = $this->signedInWithACloth();
        $this->upload('/cloth/'.$id.'/photo', 'photo', $this->file('a.jpg', $this->jpeg(40, 40, [1, 2, 3])));
        $photo = $this->workroom($account)->cloths[0]->keeping->photo;
        foreach (['/file/'.$photo, '/file/'.$photo.'/small'] as $address) {
            $this->get($address);
        }
        $this->get('/cloth/'.$id);
        $this->browser->restart();
        $this->browser->request('GET', '/file/'.$photo);
        self::assertStringStartsWith('/sign-in?to=', (string) $this->browser->getResponse()->headers->get('Location'), 'nobody signed in');
        $this->browser->loginUser($this->account('else@example.org'));
        foreach (['/file/'.$photo, '/file/'.$photo.'/small', '/file/nothing'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseStatusCodeSame(404, $address);
        }
        $this->get('/cloth/new');
        $this->post('/cloth/'.$id.'/photo/remove');
        self::assertResponseStatusCodeSame(404);
    }

    /** @return array{Account, string} */
    private function signedInWithACloth(): array
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Moss linen']);
        $id = $this->workroom($account)->cloths[0]->id;
        $this->get('/cloth/'.$id);

        return [$account, $id];
    }

    /** @param array<string, string> $with */
    private function upload(string $path, string $field, string $file, array $with = []): Crawler
    {
        return $this->browser->request(
            'POST',
            $path,
            $with + ['_token' => (string) $this->browser->getCrawler()->filter('meta[name=csrf]')->attr('content')],
            [$field => new UploadedFile($file, basename($file), test: true)],
        );
    }

    private function handedOut(): string
    {
        $response = $this->browser->getResponse();
        self::assertInstanceOf(BinaryFileResponse::class, $response);

        return $response->getFile()->getContent();
    }

    private function file(string $name, string $content, ?string $as = null): string
    {
        $path = $this->folder.'/'.($as ?? basename($name));
        file_put_contents($path, $content);

        return $path;
    }

    /** @param array{int<0, 255>, int<0, 255>, int<0, 255>} $colour */
    private function jpeg(int $width, int $height, array $colour): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefill($image, 0, 0, (int) imagecolorallocate($image, ...$colour));
        ob_start();
        imagejpeg($image);

        return (string) ob_get_clean();
    }

    private function png(int $width, int $height): string
    {
        ob_start();
        imagepng(imagecreatetruecolor(max(1, $width), max(1, $height)));

        return (string) ob_get_clean();
    }

    /** A picture that says how large it is, and holds so many bytes of nothing. */
    private function pngHeader(int $width, int $height, int $bytes = 100_000): string
    {
        $deflate = deflate_init(\ZLIB_ENCODING_DEFLATE, ['level' => 9]);
        self::assertNotFalse($deflate);
        $packed = '';
        for ($left = $bytes; $left > 0; $left -= 1_000_000) {
            $packed .= deflate_add($deflate, str_repeat("\0", min($left, 1_000_000)), $left > 1_000_000 ? \ZLIB_NO_FLUSH : \ZLIB_FINISH);
        }
        $chunk = static fn (string $type, string $data): string => pack('N', \strlen($data))
            .$type
            .$data
            .pack('N', crc32($type.$data));

        return "\x89PNG\r\n\x1a\n"
            .$chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0))
            .$chunk('IDAT', $packed)
            .$chunk('IEND', '');
    }

    /** With an Exif part that holds a place, as a phone writes it. */
    private function withPosition(string $jpeg): string
    {
        $exif = "Exif\0\0MM\0*\0\0\0\x08\0\0 GPS-51.5072N-0.1276W";

        return substr($jpeg, 0, 2)."\xff\xe1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2);
    }
}
