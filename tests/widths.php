<?php

declare(strict_types=1);

// Names each line that is wider than its kind may be. A line that holds one text and nothing else may be as long as the text is, so that
// a sentence can be searched for whole; so may the tables of words.
$most = ['php' => 140, 'js' => 140, 'twig' => 160, 'css' => 140];
$root = dirname(__DIR__);
$wide = 0;
foreach (explode("\n", trim((string) shell_exec('cd '.escapeshellarg($root).' && git ls-files'))) as $file) {
    $limit = $most[pathinfo($file, \PATHINFO_EXTENSION)] ?? null;
    if (null === $limit || str_starts_with($file, 'assets/vendor/') || in_array($file, ['config/reference.php', 'core/src/Reading/Words.php'], true)) {
        continue;
    }
    foreach (explode("\n", (string) file_get_contents($root.'/'.$file)) as $number => $line) {
        $isText = 1 === preg_match('/^\s*(?:[\w\'"]+ => |\? |: )?(?:\'(?:[^\'\\\\]|\\\\.)*\'|"(?:[^"\\\\]|\\\\.)*")[,;.)]*$/u', rtrim($line));
        if (mb_strlen(rtrim($line)) > $limit && !$isText) {
            ++$wide;
            printf("%s:%d is %d wide\n", $file, $number + 1, mb_strlen(rtrim($line)));
        }
    }
}
exit(0 === $wide ? 0 : 1);
