<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\ReturnPath;
use Octavum\Room\Cloth\Guided\BurnSnippet;
use Octavum\Room\Cloth\Guided\CountLayers;
use Octavum\Room\Cloth\Guided\Estimated;
use Octavum\Room\Cloth\Guided\GuidedTest;
use Octavum\Room\Cloth\Guided\HangDrape;
use Octavum\Room\Cloth\Guided\HoldToLight;
use Octavum\Room\Cloth\Guided\MeasureWidth;
use Octavum\Room\Cloth\Guided\PressCrease;
use Octavum\Room\Cloth\Guided\PullStretch;
use Octavum\Room\Cloth\Guided\TestFields;
use Octavum\Room\Cloth\Guided\WashSquare;
use Octavum\Room\Cloth\Guided\WeighCut;
use Octavum\Room\Cloth\Guided\WeighSwatch;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Tests on a cloth, as guided steps whose result is written down where it belongs. */
#[Route('/cloth/{id}/test')]
final class TestController extends AbstractController
{
    public function __construct(
        private readonly ClothMapper $mapper,
        private readonly AccountSettings $settings,
        private readonly ClockInterface $clock,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/{kind}', name: 'cloth_test', methods: ['GET', 'POST'])]
    public function test(
        #[Mine] ClothRecord $record,
        TestKind $kind,
        Request $request,
        Entry $entry,
        Settings $settings,
    ): Response {
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        if ($request->isMethod('POST')) {
            $outcome = $this->guided($kind)->read(new TestFields($entry, $settings, $this->settings->tape()), $cloth);
            Revision::check($entry, $record->revision);
            if (null !== $outcome && $entry->isSound()) {
                $showed = $outcome->showed;
                $make = function () use ($outcome, $record, $kind, $showed): void {
                    $outcome->store($record);
                    $on = $this->clock->now()->format('Y-m-d');
                    $record->tests = [...$record->tests, ['on' => $on, 'kind' => $kind->value, 'showed' => $showed]];
                };
                $with = ['cloth' => $cloth->name, 'showed' => $showed];
                $here = $this->generateUrl('cloth', ['id' => $record->id]);
                $notice = new Notice('Written down for {cloth}: {showed}.', $with, $here);
                $this->changes->commit([$record, ...$record->cuts], $make, $notice);

                return ReturnPath::to($request, $this->generateUrl('cloth', ['id' => $record->id]));
            }
        }

        $cuts = [];
        foreach ($cloth->cuts as $i => $cut) {
            $cuts[$cut->id] = trim(\sprintf('%d %s', $i + 1, $cut->label));
        }

        return $this->render(
            'cloth/test.html.twig',
            [
                'cloth' => $cloth,
                'record' => $record,
                'kind' => $kind->value,
                'caution' => $kind->caution(),
                'cuts' => $cuts,
                'back' => ReturnPath::path($request),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    private function guided(TestKind $kind): GuidedTest
    {
        $estimated = new Estimated($this->mapper, $this->clock);

        return match ($kind) {
            TestKind::Width => new MeasureWidth(),
            TestKind::Shrink => new WashSquare(),
            TestKind::Stretch => new PullStretch($this->mapper),
            TestKind::Swatch => new WeighSwatch(),
            TestKind::Drape => new HangDrape($this->mapper),
            TestKind::Opacity => new HoldToLight($this->mapper),
            TestKind::Pressing => new PressCrease($this->mapper),
            TestKind::Burn => new BurnSnippet(),
            TestKind::ByWeight => new WeighCut($estimated),
            TestKind::Bolt => new CountLayers($estimated),
        };
    }
}
