<?php

declare(strict_types=1);

// Changes figures and comparisons of the rules, drawn by chance, one at a time, and runs the core's tests on each:
//   bin/octavum mutate chance [how many] [seed]
// Prints those that nobody noticed; fails when they are more than one in ten. The pieces of a rough block are a guess, so their figures
// are left alone.

use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

require dirname(__DIR__).'/vendor/autoload.php';

$root = dirname(__DIR__);
[$count, $seed] = [(int) ($argv[1] ?? 40), (int) ($argv[2] ?? 1)];
$other = ['<' => '<=', '>' => '>=', '===' => '!==', '&&' => '||', '+' => '-'];
$other += array_flip($other);
$parser = (new ParserFactory())->createForHostVersion();
$mutants = [];
$parts = array_map(static fn (string $part): string => $root.'/core/src/'.$part, ['Cloth', 'Need', 'Pattern', 'Season', 'Shopping']);
foreach (Finder::create()->in($parts)->notName('RoughPieces.php')->name('*.php')->sortByName() as $file) {
    $code = $file->getContents();
    $nodes = (new NodeFinder())->find(
        $parser->parse($code) ?? [],
        static fn (Node $node): bool => $node instanceof Node\Scalar\Int_ || $node instanceof BinaryOp,
    );
    foreach ($nodes as $node) {
        if ($node instanceof BinaryOp) {
            $from = $node->left->getEndFilePos() + 1;
            $between = substr($code, $from, $node->right->getStartFilePos() - $from);
            $sign = $node->getOperatorSigil();
            $at = strpos($between, $sign);
            if (isset($other[$sign]) && false !== $at) {
                $mutants[] = [$file->getPathname(), $from + $at, strlen($sign), $other[$sign]];
            }
        } elseif ($node instanceof Node\Scalar\Int_) {
            $length = $node->getEndFilePos() - $node->getStartFilePos() + 1;
            $mutants[] = [$file->getPathname(), $node->getStartFilePos(), $length, (string) ($node->value + 1)];
        }
    }
}
$chosen = array_slice((new Randomizer(new Mt19937($seed)))->shuffleArray($mutants), 0, $count);
/** @param list<string> $which */
$passes = static function (array $which) use ($root): bool {
    $command = ['php', '-d', 'memory_limit=1G', 'vendor/bin/phpunit', '--stop-on-defect', '--no-progress', ...$which];
    try {
        return 0 === (new Process($command, $root, ['APP_ENV' => false], null, 120))->run();
    } catch (ProcessTimedOutException) {
        return false;
    }
};
$lived = 0;
foreach ($chosen as [$path, $at, $length, $changed]) {
    $code = (string) file_get_contents($path);
    try {
        file_put_contents($path, substr_replace($code, $changed, $at, $length));
        $part = explode('/', substr($path, strlen($root.'/core/src/')))[0];
        // most are noticed by the tests of their own part
        $lives = $passes(['core/tests/'.$part]) && $passes(['--testsuite', 'core', '--exclude-filter', 'LayMakerTest|HaulReaderTest']);
    } finally {
        file_put_contents($path, $code);
    }
    if ($lives) {
        ++$lived;
        $line = substr_count($code, "\n", 0, $at) + 1;
        $shown = trim(explode("\n", $code)[$line - 1]);
        printf("lives  %s:%d  %s → %s  in  %s\n", substr($path, strlen($root) + 1), $line, substr($code, $at, $length), $changed, $shown);
    }
}
printf("%d of %d lived, of %d that there are\n", $lived, count($chosen), count($mutants));
exit(10 * $lived <= count($chosen) ? 0 : 1);
