<?php

declare(strict_types=1);

namespace Octavum\Tests\Database;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Octavum\Kernel;
use Octavum\Tests\PageTestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\PhpProcess;

final class RecordClassesTest extends PageTestCase
{
    public function testEveryRecordIsKnown(): void
    {
        $all = $this->service(EntityManagerInterface::class)->getMetadataFactory()->getAllMetadata();
        $names = array_map(static fn (ClassMetadata $metadata): string => $metadata->getReflectionClass()->getShortName(), $all);
        $files = [];
        foreach (Finder::create()->in(\dirname(__DIR__, 2).'/src')->name('*.php')->contains('/^#\[ORM\\\\Entity/m') as $file) {
            $files[] = $file->getBasename('.php');
        }
        sort($names);
        sort($files);
        self::assertSame($files, $names);
        self::assertContains('ClothRecord', $names);
    }

    /** Each change asks for all records; it would load some 300 files more. */
    public function testAskedForAllRecordsNothingElseIsLoaded(): void
    {
        $script = '<?php require "vendor/autoload.php"; $kernel = new '.Kernel::class.'("test", false); $kernel->boot();
            $kernel->getContainer()->get("doctrine")->getManager()->getMetadataFactory()->getAllMetadata();
            echo implode("\n", array_filter(get_included_files(), fn ($file) => str_contains($file, "/src/Room/")));';
        $process = new PhpProcess($script, \dirname(__DIR__, 2));
        self::assertSame('', $process->mustRun()->getOutput());
    }
}
