<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\Persistence\Mapping\Driver\ClassNames;
use Symfony\Component\Config\Resource\GlobResource;
use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\DependencyInjection\Definition;

/** Finds the classes of records once, when the container is built: asked for them all, Doctrine would load every file of src/ to see. */
final readonly class RecordClasses implements CompilerPassInterface
{
    public function process(ContainerBuilder $container): void
    {
        $src = \dirname(__DIR__);
        $files = new GlobResource($src, '/**/*.php', true);
        $container->addResource($files);
        $classes = [];
        foreach ($files as $file) {
            if (str_contains((string) file_get_contents($file->getPathname()), '#[ORM\Entity')) {
                $classes[] = 'Octavum\\'.strtr(substr($file->getPathname(), \strlen($src) + 1, -4), '/', '\\');
            }
        }
        sort($classes);
        $driver = $container->getDefinition('doctrine.orm.default_attribute_metadata_driver');
        $driver->setArgument(0, new Definition(ClassNames::class, [$classes]));
    }
}
