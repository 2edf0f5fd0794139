<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setParallelConfig(PhpCsFixer\Runner\Parallel\ParallelConfigFactory::detect())
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'phpdoc_to_comment' => false,
        'single_line_throw' => false,
    ])
    ->setFinder(
        PhpCsFixer\Finder::create()
            ->notName('reference.php')
            ->in(array_map(
                static fn (string $folder): string => __DIR__.'/'.$folder,
                ['core', 'src', 'tools', 'tests', 'config', 'migrations'],
            ))
            ->append([__FILE__]),
    )
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache');
