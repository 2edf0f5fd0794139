<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Care;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\ClothSnags;
use Octavum\Core\Workroom\Settings;
use Octavum\Files\FileShelf;
use Octavum\Input\Entry;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** Makes the page of a cloth. */
final readonly class ClothPresenter
{
    /** Pixels for the strip of a cut. */
    private const IN_A_ROW = 560;

    public function __construct(
        private ClothMapper $mapper,
        private AccountSettings $settings,
        private StripBuilder $strips,
        private PlanChecker $checker,
        private FileShelf $shelf,
        private ClockInterface $clock,
        private Environment $twig,
    ) {
    }

    /**
     * @param Entry   $entry     what was typed into one of its forms; empty when the page is opened
     * @param ?string $cutInHand whose form is open: a cut, "new" or "apart"
     * @param string  $back      where the page leads back to; empty for nowhere
     */
    public function show(ClothRecord $record, Entry $entry, ?string $cutInHand = null, string $back = ''): Response
    {
        $settings = $this->settings->load($record->account);
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        $promises = $this->checker->promises($record->account);
        $perhaps = $this->checker->perhaps($record->account);
        $scale = Scale::panel(Stash::longest($cloth, $settings->assumptions), self::IN_A_ROW);
        $photo = $cloth->keeping->photo;

        return new Response(
            $this->twig->render('cloth/show.html.twig', [
                'cloth' => $cloth,
                'cuts' => $this->cuts($cloth, $promises, $perhaps, $scale, $settings),
                'revisions' => array_column(
                    $record->cuts->map(static fn (CutRecord $cut): array => ['id' => $cut->id, 'revision' => $cut->revision])->toArray(),
                    'revision',
                    'id',
                ),
                'typed' => $entry->typed,
                'faults' => $entry->faults(),
                'wholes' => $this->wholes($cloth),
                'inHand' => $cutInHand,
                'back' => $back,
                'today' => $this->clock->now()->format('Y-m-d'),
                'photo' => null === $photo ? null : $this->shelf->these($record->account, [$photo])[0] ?? null,
                'snags' => (new ClothSnags($settings->assumptions))->prepare($cloth),
                'care' => false === $cloth->material->care?->mayBeWashed() ? [] : (new Care())->advise($cloth->material->fibres),
            ]),
            $entry->status(),
        );
    }

    /**
     * @param array<string, list<Reservation>> $promises
     * @param array<string, list<Reservation>> $perhaps  what options might take
     *
     * @return list<CutRow>
     */
    public function cuts(Cloth $cloth, array $promises, array $perhaps, Scale $scale, Settings $settings): array
    {
        $rows = [];
        foreach ($cloth->cuts as $cut) {
            $onCut = $promises[$cut->id] ?? [];
            $might = $perhaps[$cut->id] ?? [];
            $toCut = ToCut::of($cloth, $cut, $settings->assumptions);
            $strip = $this->strips->cut(
                $cloth,
                $cut,
                $onCut,
                scale: $scale,
                assumptions: $settings->assumptions,
                system: $settings->system,
                perhaps: $might,
            );
            $rows[] = new CutRow($cut, $toCut, $strip, promises: $onCut, free: Reservation::free($toCut->length, $onCut), perhaps: $might);
        }

        return $rows;
    }

    /** @return array<string, string> cuts that can be taken apart: what they are called by id */
    private function wholes(Cloth $cloth): array
    {
        $wholes = [];
        foreach ($cloth->cuts as $i => $cut) {
            if (!$cut->gone) {
                $length = null === $cut->length ? '' : $this->settings->tape()->write(Figure::owned($cut->length));
                $wholes[$cut->id] = implode(', ', array_diff([(string) ($i + 1), $cut->label, $length], ['']));
            }
        }

        return $wholes;
    }
}
