<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\BurnTest;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Gauge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use PHPUnit\Framework\TestCase;

/** The arithmetic of the tests one can do on a cloth; the figures are worked by hand. */
final class TestsTest extends TestCase
{
    public function testASquareShrinks(): void
    {
        $tested = Shrinkage::square($this->cm('20'), $this->cm('19'), $this->cm('19.6'));
        self::assertSame([500, 200], [$tested->along->hundredths, $tested->across->hundredths]);
        self::assertSame(
            334,
            Shrinkage::square($this->cm('30'), $this->cm('29'), $this->cm('30'))->along->hundredths,
            'rounded up, towards safety',
        );
        $this->expectException(Unreadable::class);
        Shrinkage::square($this->cm('20'), $this->cm('21'), $this->cm('20'));
    }

    public function testASwatchTellsTheWeight(): void
    {
        $weight = Weight::ofSwatch(1_850, $this->cm('10'), $this->cm('10'));
        self::assertSame([185, WeightClass::Medium], [$weight->grams, $weight->class]);
        self::assertSame(185, Weight::ofSwatch(11_563, $this->cm('25'), $this->cm('25'))->grams);
        $this->expectException(Unreadable::class);
        Weight::ofSwatch(1_850, $this->cm('1'), $this->cm('1'));
    }

    public function testMassTellsTheLength(): void
    {
        // 740 g ÷ (185 g/m² × 1.60 m) = 2.5 m
        self::assertSame(
            2500,
            (new Gauge())->byWeight(740_000, Weight::ofGrams(185), Width::of($this->cm('160'), $this->cm('1')))->millimetres(),
        );
        $this->expectException(Unreadable::class);
        (new Gauge())->byWeight(740_000, Weight::ofClass(WeightClass::Medium), Width::of($this->cm('160'), $this->cm('1')));
    }

    public function testLayersOnABoltTellTheLength(): void
    {
        // Two layers on the common 22 cm board are about a yard: 2 × 2 × (22 + 1) = 92 cm.
        self::assertSame(920, (new Gauge())->onBolt(2, $this->cm('22'), $this->cm('1'))->millimetres());
        // 1000 × 2 × (24 + 1) = 500 m, the longest a cut can be
        self::assertSame(500_000, (new Gauge())->onBolt(1000, $this->cm('24'), $this->cm('1'))->millimetres());
        $this->expectException(Unreadable::class);
        (new Gauge())->onBolt(1001, $this->cm('24'), $this->cm('1'));
    }

    public function testThreeSignsThatAgreeNameAFamilyAndOthersABlend(): void
    {
        $test = new BurnTest();
        foreach (FibreFamily::cases() as $family) {
            self::assertSame($family, $test->family($family, $family, $family));
        }
        self::assertSame(FibreFamily::Mixed, $test->family(FibreFamily::Cellulose, FibreFamily::Cellulose, FibreFamily::Synthetic));
    }

    public function testAFamilyNarrowsWhatMustBeCountedForShrinkage(): void
    {
        $along = static fn (?FibreFamily $family): int => (new Cloth(
            'c',
            'Unknown',
            material: new Material(structure: Structure::Woven, fibres: FibreMix::unknown(), family: $family),
        ))->material->shrinkage()->along->hundredths;
        self::assertSame(
            [600, 600, 400, 100],
            [$along(null), $along(FibreFamily::Cellulose), $along(FibreFamily::Protein), $along(FibreFamily::Synthetic)],
        );
    }

    private function cm(string $figure): Length
    {
        return Length::of($figure, \Octavum\Core\Measure\Unit::Centimetre);
    }

    public function testOnlyAFlameWantsACaution(): void
    {
        foreach (TestKind::cases() as $kind) {
            self::assertSame(TestKind::Burn === $kind, null !== $kind->caution(), $kind->value);
        }
        self::assertSame('wants lining or a layer beneath', (string) Opacity::Sheer->advice());
        self::assertNull(Opacity::Opaque->advice());
    }
}
