<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\BurnTest;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\Gauge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Width;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Back;
use Octavum\Page\Toast;
use Octavum\Store\ClothMapper;
use Octavum\Store\ClothRecord;
use Octavum\Store\ClothRepository;
use Octavum\Store\TakeBack;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Tests on a cloth, as guided steps whose result is written down where it belongs. */
#[Route('/cloth/{id}/test')]
final class TestController extends AbstractController
{
    public function __construct(
        private readonly ClothRepository $cloths,
        private readonly ClothMapper $mapper,
        private readonly AccountSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
        private readonly TakeBack $takeBack,
    ) {
    }

    #[Route('/{kind}', name: 'cloth_test', methods: ['GET', 'POST'])]
    public function test(string $id, TestKind $kind, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $settings = $this->settings->of($account);
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        $entry = new Entry($request->request->all());
        if ($request->isMethod('POST')) {
            $touched = [$record, ...$record->cuts->getValues()];
            $before = $this->takeBack->state($touched);
            $showed = $this->apply($kind, $entry, $record, $cloth, $settings);
            Revision::check($entry, $record->revision);
            if ($entry->isSound()) {
                $record->tests = [
                    ...$record->tests,
                    ['on' => $this->clock->now()->format('Y-m-d'), 'kind' => $kind->value, 'showed' => $showed],
                ];
                $this->entities->flush();
                $key = $this->takeBack->keep($before, $touched);
                $this->toast->say(
                    'Written down for {cloth}: {showed}.',
                    ['cloth' => $cloth->name, 'showed' => $showed],
                    $this->generateUrl('undo', ['key' => $key, 'back' => $this->generateUrl('cloth', ['id' => $id])]),
                );

                return Back::to($request, $this->generateUrl('cloth', ['id' => $id]));
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
                'back' => Back::path($request),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @return string what the test showed, in a few words; empty with a fault at its field */
    private function apply(TestKind $kind, Entry $entry, ClothRecord $record, Cloth $cloth, Settings $settings): string
    {
        $tape = $this->settings->tape();
        $length = fn (string $field): ?Length => $this->required($entry, $field, $settings);
        switch ($kind) {
            case TestKind::Width:
                $measured = array_values(
                    array_filter(
                        array_map(static fn (int $i): ?Length => $entry->length('at'.$i, $settings->system->widthUnit()), [1, 2, 3]),
                        static fn (?Length $at): bool => null !== $at,
                    ),
                );
                if ([] === $measured) {
                    $entry->fault('at1', new Sentence('Nothing is measured yet: type the width at one place at least.'));

                    return '';
                }
                $least = array_reduce($measured, static fn (Length $a, Length $b): Length => $a->smaller($b), $measured[0]);
                $width = $entry->attempt(
                    'at1',
                    static fn (): Width => Width::of($least, $cloth->width->selvage ?? $settings->assumptions->selvage),
                );
                $record->width = $width?->full->micrometres;

                return $tape->write(Figure::width($least));
            case TestKind::Shrink:
                [$before, $along, $across] = [$length('before'), $length('along'), $length('across')];
                $tested =
                    null === $before || null === $along || null === $across
                        ? null
                        : $entry->attempt('along', static fn (): Shrinkage => Shrinkage::square($before, $along, $across));
                $record->shrinkAlong = $tested?->along->hundredths;
                $record->shrinkAcross = $tested?->across->hundredths;

                return null === $tested ? '' : \sprintf('%s along, %s across', $tested->along, $tested->across);
            case TestKind::Stretch:
                [$from, $to] = [$length('from'), $length('to')];
                $stretch = null === $from || null === $to ? null : $entry->attempt('to', static fn (): int => Feel::stretch($from, $to));
                $way = 'along' === $entry->raw('way') ? 'along' : 'across';
                $feel = $cloth->feel;
                $changed = $entry->attempt(
                    'to',
                    static fn (): Feel => new Feel(
                        'across' === $way ? $stretch : $feel->across,
                        'along' === $way ? $stretch : $feel->along,
                        $feel->drape,
                        $feel->opacity,
                        $feel->takesCrease,
                        $feel->clearSide,
                    ),
                );
                $this->mapper->storeFeel($changed ?? $feel, $record);

                return $stretch.' % '.$way;
            case TestKind::Swatch:
                [$long, $wide, $mass] = [$length('long'), $length('wide'), $this->milligrams($entry, 'mass')];
                $weight =
                    null === $long || null === $wide || null === $mass
                        ? null
                        : $entry->attempt('mass', static fn (): Weight => Weight::ofSwatch($mass, $long, $wide));
                $record->grams = $weight?->grams;
                $record->weight = null;

                return $weight?->grams.' g/m²';
            case TestKind::Burn:
                $signs = array_map(
                    static fn (string $field, array $known): ?FibreFamily => $known[$entry->raw($field)] ?? null,
                    ['flame', 'smell', 'residue'],
                    [BurnTest::FLAME, BurnTest::SMELL, BurnTest::RESIDUE],
                );
                [$flame, $smell, $residue] = $signs;
                if (null === $flame || null === $smell || null === $residue) {
                    $entry->fault(
                        'flame',
                        new Sentence(
                            'Choose what the flame, the smell and the residue were like; without all three nothing is written down.',
                        ),
                    );

                    return '';
                }
                $record->family = (new BurnTest())->family($flame, $smell, $residue);

                return $record->family->value;
            case TestKind::ByWeight:
            case TestKind::Bolt:
                return $this->estimate($kind, $entry, $record, $cloth, $settings);
        }
    }

    /** A length that is not measured with a tape goes into the ledger of a cut, and says so. */
    private function estimate(TestKind $kind, Entry $entry, ClothRecord $record, Cloth $cloth, Settings $settings): string
    {
        $found = null;
        if (TestKind::ByWeight === $kind) {
            $mass = $this->milligrams($entry, 'mass');
            if (null === $cloth->width || null === $cloth->weight) {
                $entry->fault(
                    'mass',
                    new Sentence(
                        'This wants the width of the cloth and its weight in g/m²: measure the one, and weigh a swatch for the other, first.',
                    ),
                );
            }
            [$width, $weight] = [$cloth->width, $cloth->weight];
            $found =
                null === $mass || null === $width || null === $weight
                    ? null
                    : $entry->attempt('mass', static fn (): Length => (new Gauge())->byWeight($mass, $weight, $width));
        } else {
            $layers = $entry->integer('layers', 1, 500);
            if (null === $layers && '' === $entry->raw('layers')) {
                $entry->fault('layers', new Sentence('Count the layers on one side of the bolt.'));
            }
            [$board, $thick] = [$this->required($entry, 'board', $settings), $this->required($entry, 'thick', $settings)];
            $found =
                null === $layers || null === $board || null === $thick
                    ? null
                    : $entry->attempt('layers', static fn (): Length => (new Gauge())->onBolt($layers, $board, $thick));
        }
        $chosen = null;
        foreach ($record->cuts as $cut) {
            $chosen = $cut->id === $entry->raw('cut') ? $cut : $chosen;
        }
        if (null === $chosen) {
            $entry->fault('cut', new Sentence('Choose the cut this is about.'));
        }
        if (null === $found || null === $chosen) {
            return '';
        }
        $this->mapper->storeCut(
            $this->mapper
                ->cut($chosen)
                ->with(
                    new LedgerEntry(
                        $this->clock->now()->setTime(0, 0),
                        LedgerKind::Measured,
                        $found,
                        TestKind::ByWeight === $kind ? 'estimated by weight' : 'estimated by the layers on the bolt',
                    ),
                ),
            $chosen,
        );

        return 'about '.$this->settings->tape()->write(Figure::owned($found));
    }

    private function required(Entry $entry, string $field, Settings $settings): ?Length
    {
        if ('' === $entry->raw($field)) {
            $entry->fault($field, new Sentence('A length is missing here: type what the tape says.'));
        }

        return $entry->length($field, $settings->system->widthUnit());
    }

    private function milligrams(Entry $entry, string $field): ?int
    {
        $text = str_replace(',', '.', $entry->raw($field));
        if (1 !== preg_match('/^(\d{1,6}(?:\.\d{1,3})?)\s*(g|kg|oz)?$/i', $text, $part) || 0.0 === (float) $part[1]) {
            $entry->fault(
                $field,
                new Sentence('“{text}” cannot be read as a mass: type what the scales say, such as 12.4 g.', [
                    'text' => mb_substr($text, 0, 40),
                ]),
            );

            return null;
        }

        return (int) round(
            (float) $part[1]
                * match (mb_strtolower($part[2] ?? 'g')) {
                    'kg' => 1_000_000,
                    'oz' => 28_349.523125,
                    default => 1_000,
                },
        );
    }
}
