<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** How a cloth may be cleaned, as its label or its seller says; none of these when it is not known. */
enum CareLabel: string
{
    case Machine30 = 'machine wash at 30 °C';
    case Machine40 = 'machine wash at 40 °C';
    case Machine60 = 'machine wash at 60 °C';
    case Hand = 'hand wash';
    case DryClean = 'dry clean only';
    case Wipe = 'wipe';

    /** From free words; null where they settle nothing. */
    public static function of(string $words): ?self
    {
        $plain = mb_strtolower($words);

        return self::tryFrom($words)
            ?? match (true) {
                1 === preg_match('/\bdry[ -]?clean/u', $plain) => self::DryClean,
                1 === preg_match('/\bhand[ -]?wash|wash(ed)? by hand|\bby hand\b/u', $plain) => self::Hand,
                1 === preg_match('/\bwip(e|ing)\b/u', $plain) => self::Wipe,
                1 === preg_match('/(?<!\d)(30|40|60)(?!\d)/', $plain, $heat) => self::from('machine wash at '.$heat[1].' °C'),
                default => null,
            };
    }

    public function mayBeWashed(): bool
    {
        return self::DryClean !== $this && self::Wipe !== $this;
    }
}
