<?php

declare(strict_types=1);

// For PHP's built-in server: a file that exists is served as it is, everything else by the application.
$path = parse_url((string) $_SERVER['REQUEST_URI'], \PHP_URL_PATH);
$file = __DIR__.(is_string($path) ? rawurldecode($path) : '/');
$type = ['css' => 'text/css', 'js' => 'text/javascript', 'woff2' => 'font/woff2', 'svg' => 'image/svg+xml', 'png' => 'image/png'];
$isAsset = is_string($path) && !str_contains($path, '..')
    && preg_match('~^/assets/[\w./-]+-[\w-]{7}\.(css|js|woff2|svg|png)$~', $path, $named);
if ($isAsset && is_file($file)) {
    // a file that is named by its contents need be fetched once only
    header('Content-Type: '.$type[$named[1]]);
    header('Content-Length: '.filesize($file));
    header('Cache-Control: public, max-age=31536000, immutable');
    readfile($file);

    return true;
}
if (is_file($file) && !str_ends_with($file, '.php')) {
    return false;
}
// it does not put the environment into $_SERVER, where the application looks for it
$own = ['DATA', 'HOSTS', 'PROXIES', 'REGISTERING', 'CORES'];
foreach (['APP_ENV', 'APP_DEBUG', 'APP_SECRET', ...array_map(fn (string $name): string => 'OCTAVUM_'.$name, $own)] as $name) {
    $value = getenv($name);
    if (false !== $value) {
        $_SERVER[$name] = $_ENV[$name] = $value;
    }
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = __DIR__.'/index.php';

require __DIR__.'/index.php';
