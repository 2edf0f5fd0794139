<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Mine;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Workroom\Settings;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Contracts\Cache\CacheInterface;

/** What a generic block says of a project's main cloth, beside the table: fetched by the page since it takes a while. */
final class BlockController extends AbstractController
{
    #[Route('/project/{id}/block', name: 'project_block', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function show(
        #[Mine] Project $project,
        Settings $settings,
        CacheInterface $cache,
    ): Response {
        $opinion = null;
        $laid = false;
        foreach ($project->current->claims as $claim) {
            $laid = $laid || null !== $claim->lay;
            $opinion ??=
                Role::Main === $claim->role
                && !$claim->cutOut
                && null === $claim->lay
                && null === $project->cutting($claim)?->pieced
                    ? $this->opinion(
                        $project,
                        $claim,
                        $settings->assumptions,
                        null === $claim->cloth || null === $claim->cut
                            ? null
                            : ToCut::of($claim->cloth, $claim->cut, $settings->assumptions)->width,
                        $cache,
                    )
                    : null;
        }

        return $this->render('table/_block.html.twig', ['opinion' => $opinion, 'project' => $project->id, 'laid' => $laid]);
    }

    /** @return ?array{length: Length, width: Length, way: NeedSource} */
    private function opinion(Project $project, Claim $claim, Assumptions $assumptions, ?Length $usable, CacheInterface $cache): ?array
    {
        $version = $project->current->version;
        $size = $project->largestSize();
        if (null === $version || '' === $size) {
            return null;
        }
        $full = $claim->cloth->width->full ?? (null === $claim->wish ? null : Length::ofMillimetres(10 * SeasonCheck::USUAL_WIDTH));
        $on = new CuttingCloth(
            $full,
            true === ($claim->cloth?->isOneWay() ?? $claim->wish?->oneWay),
            $claim->cloth->look->repeat ?? $claim->wish?->repeat,
            usable: $usable,
            alike: Direction::TwoWay === $claim->cloth?->direction,
        );
        $wanted = $project->wanted($claim);
        $surface = $wanted->surface($on, $assumptions);
        if (null === $full || null === $surface) {
            return null;
        }
        $key =
            'opinion-'
            .hash(
                'xxh128',
                serialize([
                    $project->garment()->value,
                    $version->table,
                    $size,
                    $full->micrometres,
                    $surface->key(),
                    $project->brief->person?->child,
                ]),
            );
        $length = $cache->get(
            $key,
            static fn (): ?int => (new Block())->need(
                $project->garment(),
                $version->table,
                Role::Main,
                size: $size,
                surface: $surface,
                child: true === $project->brief->person?->child,
            )?->micrometres,
        );

        return null === $length
            ? null
            : [
                'length' => $wanted->altered(Length::ofMicrometres($length)),
                'width' => $full,
                'way' => (new Block())->isCalibrated($version->table, $size) ? NeedSource::CalibratedBlock : NeedSource::RoughBlock,
            ];
    }
}
