<?php

declare(strict_types=1);

// Changes single figures of the rules, one at a time, and runs their tests: each must fail. Run by bin/octavum mutate.
$root = dirname(__DIR__);
$figures = [
    ['core/src/Cloth/Shrinkage.php', 'default => [400, 200],', 'default => [400, 300],'],
    ['core/src/Cloth/Shrinkage.php', '$knit => [600, 400],', '$knit => [500, 400],'],
    ['core/src/Cloth/Shrinkage.php', '$brushed => [800, 400],', '$brushed => [400, 400],'],
    ['core/src/Cloth/Shrinkage.php', 'ClothType::Denim === $type => [500, 200],', 'ClothType::Denim === $type => [500, 300],'],
    ['core/src/Cloth/Shrinkage.php', 'Fibre::Linen, Fibre::Hemp => [500, 300],', 'Fibre::Linen, Fibre::Hemp => [500, 200],'],
    ['core/src/Cloth/Shrinkage.php', 'Fibre::Lyocell, Fibre::Modal => [300, 200],', 'Fibre::Lyocell, Fibre::Modal => [600, 200],'],
    ['core/src/Cloth/Shrinkage.php', 'Fibre::Wool => [400, 300],', 'Fibre::Wool => [400, 200],'],
    ['core/src/Cloth/Shrinkage.php', 'Fibre::Silk => [400, 200],', 'Fibre::Silk => [300, 200],'],
    ['core/src/Cloth/Shrinkage.php', 'Fibre::Elastane => [100, 50],', 'Fibre::Elastane => [100, 100],'],
    ['core/src/Cloth/Shrinkage.php', 'Percent::of(1), Percent::of(1)', 'Percent::of(2), Percent::of(1)'],
    ['core/src/Need/Conversion.php', '[23, 20, 20, 18, 16, 15, 14],', '[23, 20, 20, 18, 16, 14, 14],'],
    ['core/src/Need/Conversion.php', '[34, 28, 27, 25, 22, 21, 19],', '[34, 28, 27, 26, 22, 21, 19],'],
    ['core/src/Need/Conversion.php', '[40, 34, 33, 31, 27, 25, 23],', '[40, 34, 33, 31, 27, 25, 24],'],
    ['core/src/Measure/Assumptions.php', "Length::of('51', Unit::Millimetre)", "Length::of('50', Unit::Millimetre)"],
    ['core/src/Measure/Assumptions.php', 'Percent::of(15)', 'Percent::of(16)'],
    ['core/src/Measure/Assumptions.php', '$this->fitsShare = Percent::of(5)', '$this->fitsShare = Percent::of(6)'],
    [
        'core/src/Measure/Assumptions.php',
        "\$squaring ?? Length::of('3', Unit::Centimetre)",
        "\$squaring ?? Length::of('2', Unit::Centimetre)",
    ],
    [
        'core/src/Measure/Assumptions.php',
        "\$this->oneWayLeast = Length::of('25', Unit::Centimetre)",
        "\$this->oneWayLeast = Length::of('20', Unit::Centimetre)",
    ],
    ['core/src/Pattern/RequirementTable.php', '[1_470_000, 1_524_000]', '[1_475_000, 1_524_000]'],
    ['core/src/Piece/Garment.php', 'self::Nightwear => 3,', 'self::Nightwear => 2,'],
    ['core/src/Need/Estimator.php', 'Matching::Everywhere => $main + 1,', 'Matching::Everywhere => $main,'],
    ['core/src/Shopping/Counter.php', "Length::of('25', Unit::Centimetre)", "Length::of('20', Unit::Centimetre)"],
    ['core/src/Shopping/Counter.php', '2 * Unit::EighthYard->value', '3 * Unit::EighthYard->value'],
    ['core/src/Need/Way.php', 'self::LaidOut => 2,', 'self::LaidOut => 3,'],
];
$survived = 0;
foreach ($figures as [$file, $figure, $changed]) {
    $path = $root.'/'.$file;
    $code = (string) file_get_contents($path);
    if (!str_contains($code, $figure)) {
        echo "not found   $file: $figure\n";
        ++$survived;
        continue;
    }
    try {
        $at = (int) strpos($code, $figure);
        file_put_contents($path, substr_replace($code, $changed, $at, strlen($figure)));
        exec(
            'php '
                .escapeshellarg($root.'/vendor/bin/phpunit')
                .' --no-configuration --bootstrap '
                .escapeshellarg($root.'/vendor/autoload.php')
                .' '
                .escapeshellarg($root.'/core/tests/Rules')
                .' 2>&1',
            $said,
            $status,
        );
    } finally {
        file_put_contents($path, $code);
    }
    echo (0 === $status ? 'SURVIVED    ' : 'caught      ')."$file: $figure\n";
    $survived += 0 === $status ? 1 : 0;
}
echo count($figures) - $survived, ' of ', count($figures), " changed figures are caught\n";
exit(0 === $survived ? 0 : 1);
