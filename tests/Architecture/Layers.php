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
    /** @var array<string, string> part → what it holds */
    public const CORE = [
        'Measure' => 'lengths, tapes, sentences, workings',
        'Colour' => 'how alike two colours are',
        'Shape' => 'outlines and their parts',
        'Svg' => 'outlines from a drawing',
        'Lay\Request' => 'what is to be laid on what',
        'Lay\Way' => 'the ways a request can be laid: lanes and what goes on them',
        'Lay\Engine' => 'the search, for `Lay` alone',
        'Lay' => 'laying by machine and by hand, judged',
        'Cloth' => 'cloths, their cuts and the ledger of each',
        'Reading' => 'tables, headings, words',
        'Haul' => 'lines of cloth',
        'Notion' => 'what lies in tins and drawers',
        'Body' => 'people, measured',
        'Piece' => 'pattern pieces and drafts',
        'Pattern' => 'the envelope',
        'PatternLine' => 'lines of patterns',
        'Fit' => 'sizes',
        'Need\Block' => 'rough shapes',
        'Need' => 'how much cloth, and the verdict',
        'Laid' => 'saved lays',
        'Match\Criteria' => 'what a making asks, what a cloth is, who sews',
        'Match\Rule' => 'one class a rule',
        'Match' => 'does it suit, what can it become',
        'Remedy' => 'closing a shortfall',
        'Project\Log' => 'states, steps and time as they were written down',
        'Project' => 'a garment planned: its head and its options',
        'Project\Time' => 'steps, hours and pace',
        'Season\Reserve' => 'giving out cloth',
        'Season\Snag' => 'one class a concern',
        'Season\Answer' => 'what a check answers',
        'Season\Check' => 'a season checked',
        'Season\BestUse' => 'the best combination',
        'Season' => 'dates, mix, hints, what changed',
        'Season\Gate' => 'before cutting',
        'Season\Lists' => 'lists with rules',
        'Sewing' => 'what fits, progress, the year',
        'Shopping' => 'what to buy',
        'Find' => 'search',
        'Workroom' => 'everything of an account',
    ];

    /** @var array<string, string> likewise */
    public const APPLICATION = [
        'Document\Json' => 'nodes of a document and its faults',
        'Database' => 'column types, filters, the file itself',
        'Document\Codec' => 'one codec a thing, read beside write',
        'Document' => 'the exchange format',
        'Page' => 'what every page has: forms pressed once, plain text, headers',
        'Input' => 'what is typed, read field by field',
        'Backup' => 'archives of everything',
        'Strip' => 'drawing to scale',
        'Account' => 'who; arguments of controllers',
        'Work' => 'long work in processes of its own',
        'Files' => 'what is taken in',
        'Store\Cloth' => 'records, repositories, mappers',
        'Store\Pattern' => 'records, repositories, mappers',
        'Store\Person' => 'records, repositories, mappers',
        'Store\Lay' => 'records, repositories, mappers',
        'Store\Project' => 'records, repositories, mappers',
        'Store\Change' => 'commit and undo, one way',
        'Store\Notion' => 'records, repositories, mappers',
        'Store\Overrule' => 'rules overruled with a reason',
        'Store\Plan' => 'the plan loaded, checked and changed',
        'Store\Workroom' => 'whole workrooms, and rows that cannot be read',
        'Strip\Season' => 'the season\'s drawing',
        'Room\Settings' => 'controllers, forms, presenters',
        'Room\Cloth\Guided' => 'guided tests',
        'Room\Cloth' => 'controllers, forms, presenters',
        'Room\Pattern' => 'controllers, forms, presenters',
        'Room\People' => 'controllers, forms, presenters',
        'Room\Notions' => 'controllers, forms, presenters',
        'Room\Season' => 'controllers, forms, presenters',
        'Room\Project' => 'controllers, forms, presenters',
        'Room\Gate' => 'before cutting',
        'Room\Sewing' => 'controllers, forms, presenters',
        'Room\Match' => 'controllers, forms, presenters',
        'Room\Shopping' => 'controllers, forms, presenters',
        'Room\Table' => 'the cutting table',
        'Room\Find' => 'controllers, forms, presenters',
        'Room\Files' => 'controllers, forms, presenters',
        'Console' => 'commands',
        'Kernel' => 'the framework’s entry',
    ];

    /** Tree → its namespace, and what each part holds. */
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

    /** @return list<string> the parts of a tree, in their order */
    public static function parts(string $tree): array
    {
        return array_keys(self::TREES[$tree][1]);
    }

    /** The list of parts as docs/architecture.md has it. */
    public static function table(): string
    {
        $lines = '';
        foreach (self::TREES as $tree => [, $parts]) {
            $lines .= "\n| `$tree` | holds |\n|---|---|\n";
            foreach ($parts as $part => $what) {
                $lines .= \sprintf("| `%s` | %s |\n", strtr($part, '\\', '/'), $what);
            }
        }

        return $lines;
    }

    /** @return ?string the part that a class is in; null for one that is in none */
    public static function partOf(string $tree, string $class): ?string
    {
        $prefix = self::TREES[$tree][0];
        $found = null;
        foreach (self::parts($tree) as $part) {
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
        foreach (array_keys(self::TREES) as $tree) {
            $parts = self::parts($tree);
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
