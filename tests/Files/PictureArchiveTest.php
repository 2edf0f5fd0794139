<?php

declare(strict_types=1);

namespace Octavum\Tests\Files;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Document\Json\Refused;
use Octavum\Files\FileKind;
use Octavum\Files\FileRecord;
use Octavum\Files\FileShelf;
use Octavum\Files\PictureArchive;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** An archive brings the pictures along, so that another account sees them. */
final class PictureArchiveTest extends PageTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/octavum-archives-'.bin2hex(random_bytes(6));
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
        parent::tearDown();
    }

    public function testAnotherAccountGetsThePicturesToo(): void
    {
        $photo = $this->photo($this->signInToDemo());
        self::assertStringContainsString('leaves out one picture', self::says($this->get('/settings'), '#exchange'));
        $archive = $this->export();
        $other = $this->account('else@example.org');
        $this->browser->loginUser($other);
        $token = (string) $this->get('/settings')->filter('meta[name=csrf]')->attr('content');
        $this->browser->request('POST', '/settings/import', ['_token' => $token], [
            'document' => new UploadedFile($archive, 'workroom.tar', 'application/x-tar', null, true),
        ]);
        self::assertResponseRedirects('/season');
        $own = $this->workroom($other)->cloths[0]->keeping->photo;
        self::assertNotNull($own);
        self::assertNotSame($photo, $own, 'under an id of its own');
        foreach (['/file/'.$own, '/file/'.$own.'/small'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseIsSuccessful();
        }
        $this->browser->request('GET', '/file/'.$photo);
        self::assertResponseStatusCodeSame(404, 'the first account’s picture is nobody else’s');
    }

    /** @param array<string, string|\Closure(string): string> $changes by file in the archive */
    #[DataProvider('spoilt')]
    public function testWhatIsNoSuchArchiveIsRefusedAndKeepsNothing(array $changes): void
    {
        $photo = $this->photo($this->signInToDemo());
        $archive = $this->export();
        $tar = new \PharData($archive);
        foreach ($changes as $name => $change) {
            $name = str_replace('{photo}', $photo, $name);
            $tar[$name] = \is_string($change) ? $change : $change((string) file_get_contents('phar://'.$archive.'/'.$name));
        }
        $this->isRefused($archive);
    }

    /** @return iterable<string, array{array<string, string|\Closure(string): string>}> */
    public static function spoilt(): iterable
    {
        $page = '<script>alert(1)</script>';
        $listed = static fn (string $field, string $value): \Closure => static fn (string $list): string => (string) preg_replace(
            '/"'.$field.'": "[^"]+"/',
            '"'.$field.'": "'.$value.'"',
            $list,
        );
        yield 'a picture that is another' => [['files/{photo}' => $page]];
        yield 'a page that is called a picture' => [['files/{photo}' => $page, 'files.json' => $listed('sha256', hash('sha256', $page))]];
        yield 'a list of nothing' => [['files.json' => '{"a":']];
        yield 'a file that is not there' => [['files.json' => $listed('id', '01ARZ3NDEKTSV4RRFFQ69G5FAV')]];
        yield 'a way out of the folder' => [['files.json' => $listed('id', '../../secret')]];
        yield 'a kind that is none' => [['files.json' => $listed('kind', 'php')]];
        yield 'a small picture that is a page' => [['files/{photo}-small' => $page]];
    }

    public function testAnArchiveThatIsCutIsRefused(): void
    {
        $this->photo($this->signInToDemo());
        $archive = $this->export();
        file_put_contents($archive, substr((string) file_get_contents($archive), 0, 700));
        $this->isRefused($archive);
    }

    private function isRefused(string $archive): void
    {
        $other = $this->account('else@example.org');
        try {
            $this->service(PictureArchive::class)->read($archive, $other);
            self::fail('It is taken.');
        } catch (Refused $refused) {
            self::assertStringContainsString('Nothing has been changed', (string) $refused->faults[0]->sentence);
        }
        $this->service(EntityManagerInterface::class)->flush();
        $files = $this->service(EntityManagerInterface::class)->getRepository(FileRecord::class);
        self::assertSame([], $files->findBy(['account' => $other]));
    }

    private function photo(Account $account): string
    {
        ob_start();
        imagejpeg(imagecreatetruecolor(40, 30));
        $jpeg = (string) ob_get_clean();
        $file = new FileRecord($account, 'tweed.jpg', FileKind::Picture, \strlen($jpeg), ['#27405e']);
        $this->service(FileShelf::class)->put($file, $jpeg, $jpeg);
        $this->service(ClothRepository::class)->allOf($account)[0]->photo = $file->id;
        $this->service(EntityManagerInterface::class)->flush();

        return $file->id;
    }

    private function export(): string
    {
        $this->browser->request('GET', '/settings/export/pictures');
        self::assertResponseIsSuccessful();
        $path = $this->folder.'/workroom-'.bin2hex(random_bytes(4)).'.tar';
        file_put_contents($path, $this->browser->getInternalResponse()->getContent());

        return $path;
    }
}
