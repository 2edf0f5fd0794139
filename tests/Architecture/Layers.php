<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PhpParser\Node\Name;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use Symfony\Component\Finder\Finder;

/**
 * The parts of both trees in the order in which they may know one another: each knows those above it in its list, none below.
 * A part is a folder with what is in it, unless a folder in it is a part of its own.
 */
final class Layers
{
    public const CORE = [
        'Measure',
        'Colour',
        'Shape',
        'Svg',
        'Lay\Request',
        'Lay\Way',
        'Lay\Engine',
        'Lay',
        'Cloth',
        'Reading',
        'Haul',
        'Notion',
        'Body',
        'Piece',
        'Pattern',
        'PatternLine',
        'Fit',
        'Need\Block',
        'Need',
        'Laid',
        'Match\Criteria',
        'Match\Rule',
        'Match',
        'Remedy',
        'Project\Log',
        'Project',
        'Project\Time',
        'Season\Reserve',
        'Season\Snag',
        'Season\Answer',
        'Season\Check',
        'Season\BestUse',
        'Season',
        'Season\Gate',
        'Season\Lists',
        'Sewing',
        'Shopping',
        'Find',
        'Workroom',
    ];
    public const APPLICATION = [
        'Document',
        'Database',
        'Page',
        'Input',
        'Backup',
        'Strip',
        'Account',
        'Work',
        'Files',
        'Store',
        'Room\Settings',
        'Room\Cloth',
        'Room\Pattern',
        'Room\People',
        'Room\Notions',
        'Room\Season',
        'Room\Sewing',
        'Room\Match',
        'Room\Shopping',
        'Room\Table',
        'Room\Find',
        'Room\Files',
        'Console',
        'Kernel',
    ];
    public const TREES = ['core/src' => ['Octavum\Core', self::CORE], 'src' => ['Octavum', self::APPLICATION]];

    /**
     * Which classes of a tree know which others of it, by what is imported or written out.
     *
     * @return array<string, list<string>> class → classes
     */
    public static function uses(string $tree): array
    {
        $prefix = self::TREES[$tree][0].'\\';
        $parser = (new ParserFactory())->createForHostVersion();
        $uses = [];
        foreach (
            Finder::create()
                ->in(\dirname(__DIR__, 2).'/'.$tree)
                ->name('*.php')
                ->sortByName() as $file
        ) {
            $code = (new NodeTraverser(new NameResolver()))->traverse($parser->parse($file->getContents()) ?? []);
            $names = array_map(static fn (Name $name): string => $name->toString(), (new NodeFinder())->findInstanceOf($code, Name::class));
            $class = $prefix.strtr(substr($file->getRelativePathname(), 0, -4), '/', '\\');
            $own = static fn (string $name): bool => str_starts_with($name, $prefix)
                && !('src' === $tree && str_starts_with($name, 'Octavum\Core\\'));
            $uses[$class] = array_values(array_unique(array_filter($names, $own)));
        }

        return $uses;
    }

    /** @return ?string the part that a class is in; null for one that is in none */
    public static function partOf(string $tree, string $class): ?string
    {
        [$prefix, $parts] = self::TREES[$tree];
        $found = null;
        foreach ($parts as $part) {
            if (str_starts_with($class.'\\', $prefix.'\\'.$part.'\\') && \strlen($part) > \strlen($found ?? '')) {
                $found = $part;
            }
        }

        return $found;
    }

    /** @return array<string, array<string, list<string>>> part → part it knows → by which classes */
    public static function arrows(string $tree): array
    {
        $arrows = [];
        foreach (self::uses($tree) as $class => $others) {
            $from = self::partOf($tree, $class);
            foreach ($others as $other) {
                $to = self::partOf($tree, $other);
                if (null !== $from && null !== $to && $from !== $to) {
                    $arrows[$from][$to][] = $class.' → '.$other;
                }
            }
        }

        return $arrows;
    }

    /**
     * Both trees as tables: a row and a column a part, a mark where the row's part knows the column's. Arrows that run down
     * leave the upper right half empty.
     */
    public static function picture(): string
    {
        $left = 130;
        $cell = 15;
        $top = 110;
        $drawn = '';
        $x = 0;
        $height = 0;
        foreach (self::TREES as $tree => [, $parts]) {
            $arrows = self::arrows($tree);
            $text = static fn (string $at, string $what, string $how = ''): string => \sprintf('<text %s%s>%s</text>', $at, $how, $what);
            $drawn .= $text(\sprintf('x="%d" y="16"', $x), $tree.': a row knows …', ' font-weight="bold"');
            foreach ($parts as $i => $part) {
                $y = $top + $i * $cell;
                $drawn .= $text(\sprintf('x="%d" y="%d"', $x + $left - 6, $y + 11), $part, ' text-anchor="end"');
                $drawn .= $text(\sprintf('transform="translate(%d %d) rotate(-60)"', $x + $left + $i * $cell + 11, $top - 6), $part);
                $drawn .= \sprintf('<path d="M%d %dh%d" stroke="#ccc"/>', $x + $left, $y, $cell * \count($parts));
                $drawn .= \sprintf('<rect x="%d" y="%d" width="%3$d" height="%3$d" fill="#ddd"/>', $x + $left + $i * $cell, $y, $cell);
                foreach ($parts as $j => $other) {
                    $drawn .= !isset($arrows[$part][$other])
                        ? ''
                        : \sprintf(
                            '<circle cx="%d" cy="%d" r="5" fill="%s"/>',
                            $x + $left + $j * $cell + intdiv($cell, 2),
                            $y + intdiv($cell, 2),
                            $j < $i ? '#27405e' : '#b3261e',
                        );
                }
            }
            $height = max($height, $top + $cell * \count($parts) + 10);
            $x += $left + $cell * \count($parts) + 60;
        }

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="-10 0 %d %d" font-family="sans-serif" font-size="10">',
            $x,
            $height,
        )
            .'<rect x="-10" width="100%" height="100%" fill="#fff"/>'
            .$drawn
            ."</svg>\n";
    }
}
