<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules(['@Symfony' => true, '@Symfony:risky' => true, 'declare_strict_types' => true, 'phpdoc_to_comment' => false])
    ->setFinder(PhpCsFixer\Finder::create()->notName('reference.php')->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/config', __DIR__.'/migrations'])->append([__FILE__]))
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache');
