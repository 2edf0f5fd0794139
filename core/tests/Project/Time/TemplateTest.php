<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project\Time;

use Octavum\Core\Need\Alteration;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\Time\Template;
use Octavum\Core\Tests\Project\Log\Sewn;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TemplateTest extends TestCase
{
    public function testADressHasItsStepsInOrderAndItsHoursSharedOutToTheMinute(): void
    {
        $techniques = [Technique::Darts, Technique::InvisibleZip, Technique::SetInSleeve];
        $pattern = Sewn::pattern(Garment::Dress, 360, ['invisible zip 55 cm'], ...$techniques);
        $steps = (new Template())->build(Sewn::project('Dress', pattern: $pattern));
        self::assertSame(
            ['trace', 'cut', 'darts', 'body', 'zip', 'sleeves', 'neaten', 'fit', 'hem'],
            array_column($steps, 'id'),
        );
        $sewing = array_filter($steps, static fn (Step $step): bool => $step->kind->isSewing());
        self::assertSame(360, array_sum(array_column($sewing, 'minutes')));
        // 6 of 69 parts of 360 minutes are 31, of which 30 are said
        self::assertSame(30, $this->minutes($steps, 'darts'));
        self::assertSame([NotionKind::Zip], $steps[4]->needs);
    }

    /** Source: the minutes of preparation in docs/rules.md. */
    #[DataProvider('papers')]
    public function testThePaperSaysWhatThereIsToPrepare(?PaperState $paper, PatternFormat $format, string $steps, int $minutes): void
    {
        $edition = null === $paper ? [] : [new Edition('E', ['14'], $paper)];
        $version = new Version('v', 'A', new RequirementTable(['14'], []));
        $pattern = new Pattern(
            'p',
            'P',
            makes: new PatternGarment(garment: Garment::Skirt, minutes: 100),
            keeping: new PatternKeeping(format: $format, editions: $edition),
            versions: [$version],
        );
        $all = (new Template())->build(Sewn::project('Skirt', pattern: $pattern));
        $prepared = array_filter($all, static fn (Step $step): bool => $step->kind->isPreparation() && StepKind::CutOut !== $step->kind);
        self::assertSame($steps, implode(' ', array_column($prepared, 'id')));
        self::assertSame($minutes, array_sum(array_column($prepared, 'minutes')));
    }

    /** @return iterable<array{?PaperState, PatternFormat, string, int}> thirty pages at a minute, eight pieces at five */
    public static function papers(): iterable
    {
        yield [null, PatternFormat::Tissue, 'trace', 40];
        yield [null, PatternFormat::Pdf, 'print trace', 70];
        yield [PaperState::NotPrinted, PatternFormat::Pdf, 'print trace', 70];
        yield [PaperState::Printed, PatternFormat::Pdf, 'print trace', 70];
        yield [PaperState::Taped, PatternFormat::Pdf, 'trace', 40];
        yield [PaperState::Uncut, PatternFormat::Tissue, 'trace', 40];
        yield [PaperState::Traced, PatternFormat::Tissue, '', 0];
        yield [PaperState::CutToSize, PatternFormat::Tissue, '', 0];
        yield [PaperState::Projector, PatternFormat::Pdf, '', 0];
    }

    public function testUnwashedClothAlterationsAToileAndCopiesTakeTheirTime(): void
    {
        $cloth = Plan::cloth('1.4', '2');
        $pattern = Sewn::pattern(Garment::Skirt, 100);
        $project = new Project(
            'p',
            'Skirt',
            Plan::season(),
            1,
            brief: new ProjectBrief(toile: true),
            current: new Option(
                '',
                $pattern,
                $pattern->versions[0],
                '14',
                alterations: [new Alteration('longer', Plan::length('0.1'))],
                claims: [Plan::claim($cloth)],
                copies: [new Copy()],
            ),
        );
        $steps = (new Template())->build($project);
        self::assertSame(
            ['trace', 'draw', 'wash', 'toile', 'fit-toile', 'cut', 'body', 'waist', 'neaten', 'hem'],
            array_column($steps, 'id'),
        );
        self::assertSame(80, $this->minutes($steps, 'cut'), 'forty minutes each');
        // two copies of a hundred minutes take 170; two fifths of that
        self::assertSame(68, $this->minutes($steps, 'toile'));
    }

    public function testAFigureOfOnesOwnIsForAllOfItButTheToile(): void
    {
        foreach ([20, 60, 120, 600] as $own) {
            $project = new Project('p', 'Bib', Plan::season(), 1, current: new Option('', minutes: $own));
            self::assertSame($own, array_sum(array_column((new Template())->build($project), 'minutes')), $own.' minutes');
        }
    }

    public function testWithoutHoursNobodyKnowsTheMinutesOfItsSewing(): void
    {
        $steps = (new Template())->build(Sewn::project('Hat', pattern: Sewn::pattern(Garment::Hat, null)));
        self::assertNull($this->minutes($steps, 'body'));
        self::assertSame(40, $this->minutes($steps, 'cut'));
    }

    /** @param list<Step> $steps */
    private function minutes(array $steps, string $id): ?int
    {
        foreach ($steps as $step) {
            if ($step->id === $id) {
                return $step->minutes;
            }
        }
        self::fail('There is no step '.$id);
    }
}
