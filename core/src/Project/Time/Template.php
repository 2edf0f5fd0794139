<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Time;

use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Notion\NotionReader;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Project;

/**
 * The steps of a garment as they usually follow one another: preparation in minutes of its own, then the pattern's hours shared
 * out among what its garment and techniques ask for. A starting point that the sewist changes. Source: docs/rules.md.
 */
final readonly class Template
{
    /** Of a pattern to print: sheets, where nobody counted them. A starting value of the house. */
    private const PAGES = 30;

    /** Of a version whose pieces are not entered. A starting value of the house. */
    private const PIECES = 8;

    private const MINUTES_A_PAGE = 1;
    private const MINUTES_A_PIECE = 5;
    private const CUTTING_OUT = 40;

    /** A starting value of the house, as are the next three. */
    private const DRAWING = 15;
    private const WASHING = 10;
    private const TRYING_ON = 20;

    /** Per cent of the pattern's hours. */
    private const TOILE = 40;

    private const WITH_SLEEVES = [
        Garment::Tee, Garment::Shirt, Garment::Jacket, Garment::Coat, Garment::Jumper, Garment::Nightwear,
    ];
    private const TRIED_ON = [
        Garment::Dress, Garment::Pinafore, Garment::Jumpsuit, Garment::Trousers, Garment::Jacket, Garment::Coat, Garment::Bra,
    ];

    /** @return list<Step> in order */
    public function build(Project $project): array
    {
        $before = [...$this->paper($project), ...$this->cutting($project)];
        $after = \in_array($project->garment(), self::TRIED_ON, true) ? [new Step('fit', 'Try it on', StepKind::Fit, self::TRYING_ON)] : [];
        $minutes = $project->expectedMinutes();
        if (null !== $project->current->minutes) {
            [$before, $after] = [$this->within($before, $project->current->minutes), $this->within($after, $project->current->minutes)];
            $minutes = $project->current->minutes - $this->sum([...$before, ...$after]);
        }
        $sewing = $this->sewing($project, $minutes);
        $hem = array_search('hem', array_column($sewing, 'id'), true);
        array_splice($sewing, false === $hem ? \count($sewing) : $hem, 0, [...$this->added($project), ...$after]);
        $cut = array_pop($before);

        return array_values(array_filter([...$before, ...$this->toile($project, $minutes), $cut, ...$sewing]));
    }

    /**
     * The sewist's own figure is for all but a toile: of it, what is no sewing has a quarter at most before and after.
     *
     * @param list<Step> $steps
     *
     * @return list<Step>
     */
    private function within(array $steps, int $minutes): array
    {
        $share = min(1.0, $minutes / 4 / max(1, $this->sum($steps)));

        return array_map(static fn (Step $step): Step => $step->taking((int) floor($share * ($step->minutes ?? 0))), $steps);
    }

    /** @param list<Step> $steps */
    private function sum(array $steps): int
    {
        return array_sum(array_map(static fn (Step $step): int => $step->minutes ?? 0, $steps));
    }

    /** @return list<Step> print, tape, trace, draw: as far as the paper is not ready */
    private function paper(Project $project): array
    {
        $paper = $this->state($project);
        $format = $project->current->pattern?->keeping->format;
        $print = PaperState::NotPrinted === $paper || (null === $paper && PatternFormat::Pdf === $format);
        $steps = [];
        if ($print || PaperState::Printed === $paper) {
            $pages = self::PAGES * self::MINUTES_A_PAGE;
            $steps[] = new Step('print', $print ? 'Print and tape' : 'Tape the sheets', StepKind::Print, $pages);
        }
        $isReady = \in_array($paper, [PaperState::Traced, PaperState::CutToSize, PaperState::Projector], true);
        if (null !== $project->current->version && !$isReady) {
            $pieces = \count($project->pieces());
            $minutes = self::MINUTES_A_PIECE * (0 === $pieces ? self::PIECES : $pieces);
            $steps[] = new Step('trace', 'Trace the pieces', StepKind::Trace, $minutes);
        }
        if ([] !== $project->allAlterations()) {
            $steps[] = new Step('draw', 'Draw the alterations', StepKind::Draw, self::DRAWING);
        }

        return $steps;
    }

    /** @return list<Step> */
    private function toile(Project $project, ?int $minutes): array
    {
        return true === $project->brief->toile ? [
            new Step('toile', 'Sew a toile', StepKind::Toile, null === $minutes ? null : intdiv($minutes * self::TOILE, 100)),
            new Step('fit-toile', 'Try the toile on', StepKind::Fit, self::TRYING_ON),
        ] : [];
    }

    /** @return non-empty-list<Step> the wash, where a cloth wants it, and the scissors */
    private function cutting(Project $project): array
    {
        $cut = new Step(
            'cut',
            'Cut out',
            StepKind::CutOut,
            self::CUTTING_OUT * (1 + \count($project->current->copies)),
            cloths: [Role::Main, Role::Contrast, Role::Contrast2, Role::Contrast3, Role::Underlining],
        );
        foreach ($project->current->claims as $claim) {
            if (
                null !== $claim->cut
                && !$claim->cut->settled
                && !$claim->cutOut
                && Role::Interfacing !== $claim->role
                && false !== $claim->cloth?->material->care?->mayBeWashed()
            ) {
                return [new Step('wash', 'Wash the cloth', StepKind::Wash, self::WASHING), $cut];
            }
        }

        return [$cut];
    }

    /** @return list<Step> what parts bring that the garment has none of; the sewist's own figure has them in it */
    private function added(Project $project): array
    {
        $steps = [];
        $version = null === $project->current->minutes ? $project->current->version : null;
        foreach ($project->current->parts as $i => $part) {
            $minutes = $part->kind->minutes();
            if (null !== $version && null !== $minutes && $part->isAdded($version, $project->largestSize())) {
                $steps[] = new Step('part-'.$i, 'Added '.$part->kind->value, StepKind::Sew, $minutes);
            }
        }

        return $steps;
    }

    /** @return list<Step> the minutes shared out, to five of them; the last has the rest */
    private function sewing(Project $project, ?int $minutes): array
    {
        $parts = $this->parts($project);
        $all = array_sum(array_column($parts, 0));
        $steps = [];
        $weight = $before = 0;
        foreach ($parts as $i => [$share, $step]) {
            $weight += $share;
            $last = $i === \count($parts) - 1;
            $until = null === $minutes ? null : ($last ? $minutes : 5 * intdiv($minutes * $weight, 5 * $all));
            $steps[] = $step->taking(null === $until ? null : $until - $before);
            $before = $until ?? 0;
        }

        return $steps;
    }

    /** @return non-empty-list<array{int, Step}> with each its share of the hours */
    private function parts(Project $project): array
    {
        $garment = $project->garment();
        $techniques = $project->current->pattern->makes->techniques ?? [];
        $has = static function (Technique ...$any) use ($techniques): bool {
            foreach ($any as $one) {
                if (\in_array($one, $techniques, true)) {
                    return true;
                }
            }

            return false;
        };
        $kinds = $this->notions($project);
        $wants = static fn (NotionKind ...$any): array => [] === $kinds ? [] : array_values(array_filter(
            $any,
            static fn (NotionKind $kind): bool => \in_array($kind, $kinds, true),
        ));
        $roles = array_column($project->current->claims, 'role');
        $takes = static fn (Role $role): bool => \in_array($role, $roles, true);
        $waist = $garment->isFromTheWaist();
        $fastenings = $wants(
            NotionKind::Hook,
            NotionKind::Snap,
            NotionKind::Cord,
            NotionKind::Ring,
            NotionKind::Buckle,
            NotionKind::Clasp,
            NotionKind::Tape,
            NotionKind::Ribbon,
            NotionKind::Piping,
            NotionKind::Trimming,
            NotionKind::Other,
        );
        $parts = [
            [
                $takes(Role::Interfacing)
                    || [] !== $wants(NotionKind::Interfacing)
                    || $has(Technique::Collar, Technique::CollarStand, Technique::Facing),
                6,
                new Step(
                    'fuse',
                    'Fuse the interfacing',
                    StepKind::Fuse,
                    needs: $wants(NotionKind::Interfacing),
                    cloths: [Role::Interfacing],
                ),
            ],
            [$has(Technique::Darts), 6, new Step('darts', 'Darts')],
            [$has(Technique::Pintucks, Technique::Pleats), 8, new Step('pleats', $has(Technique::Pintucks) ? 'Pintucks' : 'Pleats')],
            [$has(Technique::WeltPocket), 14, new Step('welts', 'Welt pockets', cloths: [Role::Pocketing])],
            [$has(Technique::PatchPocket), 7, new Step('patches', 'Patch pockets')],
            [$has(Technique::SeamPocket), 6, new Step('pockets', 'Pockets in the seams', cloths: [Role::Pocketing])],
            [$has(Technique::Fly), 14, new Step('fly', 'Fly', needs: $wants(NotionKind::Zip))],
            [true, 22, new Step('body', match (true) {
                Garment::Trousers === $garment, Garment::Shorts === $garment => 'Legs and crotch seam',
                Garment::Skirt === $garment => 'Panels',
                $garment->isInOne() => 'Bodice and skirt',
                $garment->isWorn() => 'Shoulders and sides',
                default => 'Seams',
            }, needs: $wants(NotionKind::Thread), cloths: [Role::Wadding])],
            [$has(Technique::Gathers), 8, new Step('gathers', 'Gathers')],
            [$has(Technique::CollarStand), 16, new Step('collar', 'Collar and stand')],
            [$has(Technique::Collar) && !$has(Technique::CollarStand), 12, new Step('collar', 'Collar')],
            [!$has(Technique::Fly) && ($has(Technique::Zip, Technique::InvisibleZip) || [] !== $wants(NotionKind::Zip)), 9,
                new Step('zip', $has(Technique::InvisibleZip) ? 'Set the invisible zip' : 'Set the zip', needs: $wants(NotionKind::Zip))],
            [$has(Technique::SetInSleeve) || \in_array($garment, self::WITH_SLEEVES, true), 16,
                new Step('sleeves', 'Sleeves', needs: $wants(NotionKind::Pad))],
            [$has(Technique::Boning), 12, new Step('boning', 'Boning', needs: $wants(NotionKind::Boning))],
            [$takes(Role::Lining) || $has(Technique::Lining), 18, new Step('lining', 'Lining', cloths: [Role::Lining])],
            [$has(Technique::Facing), 8, new Step('facing', 'Facing')],
            [$has(Technique::BiasFinish) || [] !== $wants(NotionKind::Binding), 8,
                new Step('binding', 'Bind the edges', needs: $wants(NotionKind::Binding), cloths: [Role::Trim])],
            [$waist || [] !== $wants(NotionKind::Elastic), 10,
                new Step('waist', $waist ? 'Waistband' : 'Elastic', needs: $wants(NotionKind::Elastic))],
            [$has(Technique::KnitBands) || $takes(Role::Ribbing) || [] !== $wants(NotionKind::Ribbing), 10,
                new Step('bands', 'Bands', needs: $wants(NotionKind::Ribbing), cloths: [Role::Ribbing])],
            [$garment->isWorn() && !$takes(Role::Lining) && !$has(Technique::Lining), 6,
                new Step('neaten', 'Neaten the seams', StepKind::Overlock)],
            [$garment->isWorn(), 10, new Step('hem', 'Hem', StepKind::Finish)],
            [$has(Technique::Buttonholes) || [] !== $wants(NotionKind::Button), 10,
                new Step('buttons', 'Buttonholes and buttons', StepKind::Finish, needs: $wants(NotionKind::Button))],
            [[] !== $fastenings, 4, new Step('fastenings', 'Fastenings', StepKind::Finish, needs: $fastenings)],
        ];

        return array_map(
            static fn (array $part): array => [$part[1], $part[2]],
            array_values(array_filter($parts, static fn (array $part): bool => $part[0])),
        );
    }

    /** @return list<NotionKind> that the envelope asks for */
    private function notions(Project $project): array
    {
        $reader = new NotionReader();

        return array_map(static fn (string $line): NotionKind => $reader->read($line)->kind, $project->current->version->notions ?? []);
    }

    /** The state of the paper of the copy that holds its size, the readiest first; null when nobody has said. */
    private function state(Project $project): ?PaperState
    {
        $ready = [
            PaperState::CutToSize, PaperState::Traced, PaperState::Projector,
            PaperState::Taped, PaperState::Uncut, PaperState::Printed, PaperState::NotPrinted,
        ];
        $states = array_map(
            static fn (Edition $edition): ?PaperState => $edition->paper,
            array_filter(
                $project->current->pattern->keeping->editions ?? [],
                static fn (Edition $edition): bool => [] === $edition->sizes || \in_array($project->largestSize(), $edition->sizes, true),
            ),
        );
        foreach ($ready as $state) {
            if (\in_array($state, $states, true)) {
                return $state;
            }
        }

        return null;
    }
}
