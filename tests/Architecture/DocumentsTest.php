<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Every class, folder and command that a document names exists. */
final class DocumentsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    #[DataProvider('documents')]
    public function testWhatADocumentNamesExists(string $path): void
    {
        $names = self::names();
        $missing = [];
        preg_match_all('/`([^`\n]+)`/', (string) file_get_contents(self::ROOT.'/'.$path), $found);
        foreach (array_unique($found[1]) as $code) {
            $plain = (string) preg_replace(['/::.*$/', '/^(Octavum\\\\)?(Core\\\\)?/', '/\.php$/'], '', $code);
            $isClass = 1 === preg_match('~^(?:[A-Z]\w+[\\\\/])+\w+$|^[A-Z][a-z]+(?:[A-Z][a-z]+)+$~', $plain);
            if ($isClass && !isset($names[strtr($plain, '\\', '/')])) {
                $missing[] = $code;
            }
            if (1 === preg_match('~^(?:core|src|tools|tests|templates|assets|docs|e2e|fixtures|config|migrations|bin)/[\w./-]+$~', $code)) {
                if (!file_exists(self::ROOT.'/'.$code) && !file_exists(self::ROOT.'/'.$code.'.php')) {
                    $missing[] = $code;
                }
            }
            if (1 === preg_match('~^bin/octavum ([a-z-]+)~', $code, $command) && !self::isCommand($command[1])) {
                $missing[] = $code;
            }
        }
        self::assertSame([], $missing, $path);
    }

    /** @return iterable<string, array{string}> */
    public static function documents(): iterable
    {
        foreach (Finder::create()->in(self::ROOT)->depth('== 0')->name('*.md') as $file) {
            yield $file->getFilename() => [$file->getFilename()];
        }
        foreach (Finder::create()->in(self::ROOT.'/docs')->name('*.md') as $file) {
            yield 'docs/'.$file->getRelativePathname() => ['docs/'.$file->getRelativePathname()];
        }
    }

    /** @return array<string, true> every tail of the path of a class or folder, "Rule", "Match/Rule" */
    private static function names(): array
    {
        $names = [];
        foreach (['core/src', 'core/tests', 'src', 'tests', 'tools', 'migrations'] as $tree) {
            foreach (Finder::create()->in(self::ROOT.'/'.$tree) as $file) {
                $parts = explode('/', (string) preg_replace('/\.php$/', '', $tree.'/'.$file->getRelativePathname()));
                for ($i = 0, $count = \count($parts); $i < $count; ++$i) {
                    $names[implode('/', \array_slice($parts, $i))] = true;
                }
            }
        }

        return $names;
    }

    private static function isCommand(string $name): bool
    {
        $script = (string) file_get_contents(self::ROOT.'/bin/octavum');
        $isOwn = 1 === preg_match('/^\s+'.$name.'\)/m', $script);
        foreach ($isOwn ? [] : Finder::create()->in([self::ROOT.'/src', self::ROOT.'/tools'])->name('*Command.php') as $file) {
            $isOwn = $isOwn || str_contains($file->getContents(), "#[AsCommand('octavum:".$name."'");
        }

        return $isOwn;
    }
}
