<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Check\SeasonCheck;

/** Small workrooms for the tests. Lengths are written as people type them, bare numbers in metres. */
final class Plan
{
    public static function cut(?string $length, bool $washed = false, string $id = 'cut'): Cut
    {
        $entry = static fn (LedgerKind $kind, ?string $length): LedgerEntry => new LedgerEntry(
            new \DateTimeImmutable('2027-02-01'),
            $kind,
            null === $length ? null : self::length($length),
        );

        return new Cut(
            $id,
            $washed ? [$entry(LedgerKind::Bought, null), $entry(LedgerKind::Washed, $length)] : [$entry(LedgerKind::Bought, $length)],
        );
    }

    public static function cloth(
        ?string $width,
        Cut|string $cuts,
        string $fibre = 'cotton',
        Direction $direction = Direction::None,
        string $name = 'Heron lawn',
    ): Cloth {
        return new Cloth(
            'cloth '.$name,
            $name,
            null === $width ? null : Width::of(self::length($width), Length::of('1', Unit::Centimetre)),
            material: new Material(fibres: FibreMix::of([$fibre => 100], Knowledge::Label)),
            look: new ClothLook(direction: $direction),
            cuts: [\is_string($cuts) ? self::cut($cuts, id: 'cut of '.$name) : $cuts],
        );
    }

    /** @param array<string, string> $rows width → length for size 14 */
    public static function version(array $rows, Role $role = Role::Main, string $name = 'A'): Version
    {
        return new Version(
            'version '.$name,
            $name,
            new RequirementTable(
                ['14'],
                array_map(
                    static fn (string $width): Requirement => new Requirement($role, self::length($width), Nap::Without, [
                        '14' => self::length($rows[$width]),
                    ]),
                    array_keys($rows),
                ),
            ),
        );
    }

    public static function season(string $id = 'thaw', string $starts = '2027-03-01', int $hours = 4): Season
    {
        return new Season($id, 'Thaw', new \DateTimeImmutable($starts), 13, $hours * 60);
    }

    public static function project(
        string $name,
        int $rank,
        ?Version $version,
        Claim $claim,
        ?Season $season = null,
        int $minutes = 300,
    ): Project {
        $pattern = null === $version ? null : new Pattern(
            'pattern',
            'Towpath coat',
            makes: new PatternGarment(garment: Garment::Coat),
            versions: [$version],
        );

        return new Project(
            'project '.$name,
            $name,
            $season ?? self::season(),
            $rank,
            current: new Option('', $pattern, $version, '14', minutes: $minutes, claims: [$claim]),
        );
    }

    public static function claim(Cloth $cloth, int $cut = 0, ?string $stated = null, string $id = 'claim'): Claim
    {
        return new Claim(
            $id.$cloth->id.$cut.$stated,
            Role::Main,
            $cloth,
            $cloth->cuts[$cut],
            null,
            null === $stated ? null : self::length($stated),
        );
    }

    public static function check(Project ...$projects): CheckedSeason
    {
        return (new SeasonCheck(new Assumptions()))->check(array_values($projects)[0]->season, array_values($projects));
    }

    public static function length(string $text): Length
    {
        return Length::parse($text, Unit::Metre);
    }
}
