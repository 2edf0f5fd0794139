<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\Node\Expr\FuncCall;
use PhpParser\Node\Stmt;
use PhpParser\Node\Stmt\ClassMethod;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What belongs together is a value: a constructor takes at most eight, but for those that are still to be parted. */
final class ParametersTest extends TestCase
{
    private const MOST = 8;
    private const UNNAMED = 5;

    /** How many each takes: the list only grows shorter, and its figures smaller. */
    private const STILL = [
        'core/src/Cloth/Feel' => 9,
        'core/src/Cloth/ToCut' => 11,
        'core/src/Laid/LaidPiece' => 11,
        'core/src/Laid/LayRules' => 11,
        'core/src/Laid/SavedLay' => 9,
        'core/src/Lay/Request/LayPiece' => 10,
        'core/src/Lay/Request/Placement' => 9,
        'core/src/Lay/Way/Lane' => 9,
        'core/src/Match/Criteria/Asks' => 10,
        'core/src/Match/Criteria/Traits' => 17,
        'core/src/Match/Proposal' => 10,
        'core/src/Need/NeedRequest' => 11,
        'core/src/Notion/Notion' => 9,
        'core/src/PatternLine/PatternLine' => 17,
        'core/src/Project/Claim' => 12,
        'core/src/Project/Option' => 15,
        'core/src/Project/Season' => 9,
        'core/src/Season/Answer/RoleAnswer' => 13,
        'core/src/Workroom/Workroom' => 12,
        'src/Console/DoctorCommand' => 10,
        'src/Document/WorkroomReader' => 10,
        'src/Document/WorkroomWriter' => 10,
        'src/Room/Cloth/ClothFilter' => 12,
        'src/Store/Pattern/PatternTitle' => 9,
        'src/Store/Project/ProjectMapper' => 10,
        'src/Store/Workroom/RowCheck' => 9,
        'src/Store/Workroom/Workrooms' => 18,
    ];

    /** More would have to be counted by the reader: from the sixth on, and better before, a value has its name. */
    public function testACallHasAtMostFiveValuesWithoutAName(): void
    {
        $many = [];
        foreach (self::code() as $file => $code) {
            foreach ((new NodeFinder())->findInstanceOf($code, CallLike::class) as $call) {
                // functions of PHP, and closures, have no names to give
                if ($call instanceof FuncCall || $call->isFirstClassCallable()) {
                    continue;
                }
                $unnamed = array_filter($call->getArgs(), static fn (Arg $arg): bool => null === $arg->name && !$arg->unpack);
                if (\count($unnamed) > self::UNNAMED) {
                    $many[] = $file.', line '.$call->getStartLine();
                }
            }
        }
        self::assertSame([], $many);
    }

    public function testAConstructorTakesAtMostEightValues(): void
    {
        $many = [];
        foreach (self::code() as $file => $code) {
            foreach ((new NodeFinder())->findInstanceOf($code, ClassMethod::class) as $method) {
                if ('__construct' === $method->name->toString() && \count($method->params) > self::MOST) {
                    $many[$file] = \count($method->params);
                }
            }
        }
        ksort($many);
        self::assertSame(self::STILL, $many);
    }

    /** @return iterable<string, array<Stmt>> by file, without its suffix */
    private static function code(): iterable
    {
        $root = (string) realpath(\dirname(__DIR__, 2));
        $parser = (new ParserFactory())->createForHostVersion();
        $trees = array_map(static fn (string $tree): string => $root.'/'.$tree, ['core/src', 'src', 'tools']);
        foreach (Finder::create()->in($trees)->name('*.php')->sortByName() as $file) {
            yield substr((string) $file, \strlen($root) + 1, -4) => $parser->parse($file->getContents()) ?? [];
        }
    }
}
