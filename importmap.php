<?php

declare(strict_types=1);

return [
    'app' => ['path' => './assets/scripts/app.js', 'entrypoint' => true],
    'alpine' => ['path' => './assets/vendor/alpine/alpine-csp.js'],
    'alpine-sort' => ['path' => './assets/vendor/alpine/alpine-sort.js'],
];
