<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Provision\AreaPlan;
use Sarcina\Core\Provision\Provision;

/** Writes a provision as `sarcina.provision/1` (rules.md, provision). */
final class ProvisionDocument
{
    public const FORMAT = 'sarcina.provision/1';

    /** @return array<string, mixed> */
    public static function of(Provision $provision): array
    {
        return [
            'format' => self::FORMAT,
            'areas' => array_map(static fn (array $area): array => [
                'name' => $area['area']->name,
                'least' => self::plan($area['least']),
                'full' => self::plan($area['full']),
            ], $provision->areas),
            'totals' => [
                'least' => array_map(static fn (array $counts): object => (object) $counts, $provision->totals('least')),
                'full' => array_map(static fn (array $counts): object => (object) $counts, $provision->totals('full')),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function plan(AreaPlan $plan): array
    {
        return ['kits' => (object) $plan->kits(), 'modules' => (object) $plan->modules(), 'because' => $plan->because()];
    }
}
