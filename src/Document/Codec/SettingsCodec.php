<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\ToileSchool;
use Octavum\Core\Match\Criteria\Tool;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\Dialect;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Units, counter, currency and assumptions of a workroom. */
final readonly class SettingsCodec
{
    public function read(Node $node): Settings
    {
        if ($node->isThere()) {
            $node->object([
                'units',
                'counter',
                'currency',
                'squaring',
                'counterLeast',
                'selvage',
                'fitsLeast',
                'dialect',
                'dates',
                'bothUnits',
                'matching',
                'avoids',
                'learns',
                'lacks',
                'toiles',
            ]);
        }
        $currency = $node->at('currency')->optionalText(3) ?? 'EUR';
        if (1 !== preg_match('/^[A-Z]{3}$/', $currency)) {
            $node->at('currency')->fault('A currency is three capital letters, such as EUR.');
        }

        return new Settings(
            $node->at('units')->choice(System::class) ?? System::Metric,
            $node->at('counter')->choice(Counter::class) ?? Counter::TenCentimetres,
            $currency,
            assumptions: new Assumptions(
                $node->at('squaring')->length(),
                $node->at('selvage')->length(),
                $node->at('fitsLeast')->length(),
                $node->at('matching')->choice(Matching::class) ?? Matching::MainSeams,
                $node->at('counterLeast')->length(),
            ),
            dialect: $node->at('dialect')->choice(Dialect::class) ?? Dialect::British,
            dates: $node->at('dates')->choice(DateStyle::class) ?? DateStyle::DayFirst,
            bothUnits: $node->at('bothUnits')->boolean(),
            sewist: new Sewist(
                $node->at('avoids')->choices(Technique::class, 30),
                $node->at('learns')->choices(Technique::class, 30),
                $node->at('lacks')->choices(Tool::class, 30),
                $node->at('toiles')->choice(ToileSchool::class) ?? ToileSchool::FirstTime,
            ),
        );
    }

    /** @return array<string, mixed> */
    public function write(Settings $settings): array
    {
        return [
            'units' => $settings->system->value,
            'counter' => $settings->counter->value,
            'currency' => $settings->currency,
            'squaring' => $settings->assumptions->squaring->millimetres(),
            'selvage' => $settings->assumptions->selvage->millimetres(),
            'fitsLeast' => $settings->assumptions->fitsLeast->millimetres(),
            ...Dialect::British === $settings->dialect ? [] : ['dialect' => $settings->dialect->value],
            ...DateStyle::DayFirst === $settings->dates ? [] : ['dates' => $settings->dates->value],
            ...$settings->bothUnits ? ['bothUnits' => true] : [],
            ...Matching::MainSeams === $settings->assumptions->matching ? [] : ['matching' => $settings->assumptions->matching->value],
            ...Fields::known([
                'counterLeast' => $settings->assumptions->counterLeast?->millimetres(),
                'avoids' => array_column($settings->sewist->avoids, 'value'),
                'learns' => array_column($settings->sewist->learns, 'value'),
                'lacks' => array_column($settings->sewist->lacks, 'value'),
                'toiles' => ToileSchool::FirstTime === $settings->sewist->toiles ? null : $settings->sewist->toiles->value,
            ]),
        ];
    }
}
