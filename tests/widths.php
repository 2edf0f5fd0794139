<?php

declare(strict_types=1);

// Names each line that is wider than its kind may be. A line that holds one text and nothing else may be as long as the text is, so that
// a sentence can be searched for whole; in a template, a text of more than 100 characters does not count.
$most = ['php' => 140, 'js' => 140, 'twig' => 160, 'css' => 140];
$letBe = ['config/reference.php'];
$alone = '/^\s*(?:[\w\'"]+ => |\? |: )?(?:\'(?:[^\'\\\\]|\\\\.)*\'|"(?:[^"\\\\]|\\\\.)*")[,;.)]*$/u';
$root = dirname(__DIR__);
$wide = 0;
foreach (explode("\n", trim((string) shell_exec('cd '.escapeshellarg($root).' && git ls-files'))) as $file) {
    $kind = pathinfo($file, \PATHINFO_EXTENSION);
    if (!isset($most[$kind]) || str_starts_with($file, 'assets/vendor/') || in_array($file, $letBe, true)) {
        continue;
    }
    foreach (explode("\n", (string) file_get_contents($root.'/'.$file)) as $number => $line) {
        $line = rtrim($line);
        $counted = 'twig' === $kind ? (string) preg_replace('/\'[^\']{100,}\'|"[^"{]{100,}"/u', '', $line) : $line;
        if (mb_strlen($counted) > $most[$kind] && 1 !== preg_match($alone, $line)) {
            ++$wide;
            printf("%s:%d is %d wide\n", $file, $number + 1, mb_strlen($line));
        }
    }
}
exit(0 === $wide ? 0 : 1);
