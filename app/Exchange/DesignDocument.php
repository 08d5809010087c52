<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\ConfigurationContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\EditionPolicy;
use App\Designs\Edition\PlacedLine;
use App\Designs\Models\Design;
use App\Lists\LineContent;
use App\Lists\Models\KitList;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Packing\Wrappers;

/** What an edition of a design says, as `sarcina.designs/1` has it. */
final class DesignDocument
{
    /** What a design may leave out. */
    public const DEFAULTS = [
        'modules' => [], 'empty_mass_g' => null, 'max_mass_g' => null, 'expiry' => 'strict', 'margin_days' => 14, 'grace_days' => 0, 'every' => null,
        'seasons' => [], 'before_events' => false, 'after_use' => true, 'sealed' => false, 'additions' => [], 'configurations' => [],
        'max_volume_ml' => null, 'max_cost' => null, 'latex_free' => false, 'wrappers' => null, 'set_aside' => [],
        'not_ready_after_days' => null,
    ];

    /** What a part of the kit may leave out. */
    public const LEAF = ['closure' => null, 'outside' => false, 'caution' => null, 'properties' => []];

    /** @return array<string, mixed> */
    public static function of(Design $design, KitList $list, EditionContent $content): array
    {
        $policy = $content->policy;

        return [
            'code' => $design->code, 'name' => $design->name, 'list' => $list->code, 'edition' => $list->edition,
            'provides' => $design->provides, 'serves' => $design->serves, 'modules' => $content->modules,
            'empty_mass_g' => $policy->emptyMass, 'max_mass_g' => $policy->maxMass, 'expiry' => $policy->expiry->value,
            'margin_days' => $policy->marginDays, 'grace_days' => $policy->graceDays,
            'every' => $policy->everyUnit === null ? null : ['count' => $policy->everyCount, 'unit' => $policy->everyUnit],
            'seasons' => $content->seasons,
            'before_events' => $policy->beforeEvents, 'after_use' => $policy->afterUse, 'sealed' => $policy->sealed,
            'additions' => array_map(static fn (LineContent $line): array => $line->document(), $content->additions),
            'max_volume_ml' => $policy->maxVolume, 'max_cost' => $policy->maxCost, 'latex_free' => $policy->latexFree,
            'wrappers' => $policy->wrappers?->value, 'not_ready_after_days' => $policy->notReadyAfterDays,
            'leaves' => array_map(static fn (CompartmentContent $leaf): array => [
                'name' => $leaf->name, 'closure' => $leaf->closure, 'outside' => $leaf->isOutside, 'caution' => $leaf->caution,
                'properties' => $leaf->properties, 'pockets' => array_map(self::pocket(...), $leaf->inside),
            ], $content->leaves),
            'configurations' => array_map(static fn (ConfigurationContent $one): array => [
                'name' => $one->name, 'lines' => $one->lines, 'slots' => $one->slots,
            ], $content->configurations),
            'set_aside' => array_map(
                static fn (string $subject, string $reason): array => ['about' => $subject, 'reason' => $reason],
                array_map(strval(...), array_keys($content->setAside)), array_values($content->setAside),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function pocket(CompartmentContent $one): array
    {
        return [
            'name' => $one->name, 'row' => $one->row, 'column' => $one->column, 'row_span' => $one->rowSpan, 'column_span' => $one->columnSpan,
            'kind' => $one->kind, 'closure' => $one->closure, 'outside' => $one->isOutside, 'sealed' => $one->isSealed,
            'caution' => $one->caution, 'properties' => $one->properties, 'slot' => $one->slotDesign,
            'lines' => array_map(
                static fn (PlacedLine $line): string|array => $line->quantity === null && $line->fromDay === null && $line->waitsFor === null
                    ? $line->code
                    : ['line' => $line->code, 'quantity' => $line->quantity, 'from' => $line->fromDay, 'waits_for' => $line->waitsFor],
                $one->lines,
            ),
            'inside' => array_map(self::pocket(...), $one->inside),
            'max_mass_g' => $one->maxMass, 'volume_ml' => $one->volume, 'looked_for' => $one->lookedFor,
        ];
    }

    /** @return array<string, mixed> a pocket with all that may be left out */
    public static function wholePocket(mixed $pocket): array
    {
        $pocket = (array) $pocket + [
            'row_span' => 1, 'column_span' => 1, 'kind' => 'pocket', 'closure' => null, 'outside' => false, 'sealed' => false, 'caution' => null,
            'properties' => [], 'slot' => null, 'lines' => [], 'inside' => [], 'max_mass_g' => null, 'volume_ml' => null, 'looked_for' => [],
        ];
        if (is_array($pocket['lines'])) {
            $pocket['lines'] = array_map(
                static fn (mixed $line): mixed => is_array($line) ? $line + ['quantity' => null, 'from' => null, 'waits_for' => null] : $line,
                $pocket['lines'],
            );
        }
        if (is_array($pocket['inside'])) {
            $pocket['inside'] = array_map(self::wholePocket(...), $pocket['inside']);
        }

        return $pocket;
    }

    /**
     * @param  array<string, mixed>  $record  whole, its shape checked
     * @param  array<string, string>  $known  ids of the compartments that are there, by path
     */
    public static function content(array $record, string $listId, array $known): EditionContent
    {
        /**
         * @var array{
         *     modules: list<string>, seasons: list<string>, every: array{count: int, unit: string}|null,
         *     empty_mass_g: int|null, max_mass_g: int|null, expiry: string, margin_days: int, grace_days: int,
         *     before_events: bool, after_use: bool, sealed: bool, additions: list<array<string, mixed>>,
         *     leaves: list<array{
         *         name: string, closure: string|null, outside: bool, caution: string|null, properties: list<string>,
         *         pockets: list<array<string, mixed>>,
         *     }>,
         *     configurations: list<array{name: string, lines: list<string>, slots: list<string>}>,
         *     max_volume_ml: int|null, max_cost: int|null, latex_free: bool, wrappers: string|null,
         *     set_aside: list<array{about: string, reason: string}>, not_ready_after_days: int|null,
         * } $record
         */
        return new EditionContent(
            $listId,
            new EditionPolicy(
                $record['empty_mass_g'], $record['max_mass_g'], ExpiryPolicy::from($record['expiry']), $record['margin_days'],
                $record['grace_days'], $record['every']['unit'] ?? null, $record['every']['count'] ?? null, $record['before_events'],
                $record['after_use'], $record['sealed'], $record['max_volume_ml'], $record['max_cost'], $record['latex_free'],
                $record['wrappers'] === null ? null : Wrappers::from($record['wrappers']), $record['not_ready_after_days'],
            ),
            array_map(LineContent::ofDocument(...), $record['additions']),
            $record['modules'],
            $record['seasons'],
            array_map(static fn (array $leaf): CompartmentContent => new CompartmentContent(
                'leaf', $leaf['name'], $known[$leaf['name']] ?? null, closure: $leaf['closure'], isOutside: $leaf['outside'],
                caution: $leaf['caution'], properties: $leaf['properties'],
                inside: array_map(
                    static fn (array $pocket): CompartmentContent => self::compartment($pocket, $leaf['name'], $known),
                    $leaf['pockets'],
                ),
            ), $record['leaves']),
            array_map(
                static fn (array $one): ConfigurationContent => new ConfigurationContent($one['name'], $one['lines'], $one['slots']),
                $record['configurations'],
            ),
            array_column($record['set_aside'], 'reason', 'about'),
        );
    }

    /**
     * @param  array<string, mixed>  $pocket
     * @param  array<string, string>  $known
     */
    private static function compartment(array $pocket, string $before, array $known): CompartmentContent
    {
        /**
         * @var array{
         *     name: string, row: int, column: int, row_span: int, column_span: int, kind: string, closure: string|null, outside: bool,
         *     sealed: bool, caution: string|null, properties: list<string>, slot: string|null,
         *     lines: list<string|array{line: string, quantity: int|null, from: string|null, waits_for: string|null}>,
         *     inside: list<array<string, mixed>>, max_mass_g: int|null, volume_ml: int|null, looked_for: list<string>,
         * } $pocket
         */
        $path = "{$before}, {$pocket['name']}";

        return new CompartmentContent(
            $pocket['kind'], $pocket['name'], $known[$path] ?? null, $pocket['row'], $pocket['column'], $pocket['row_span'],
            $pocket['column_span'], $pocket['closure'], $pocket['outside'], $pocket['sealed'], $pocket['caution'], $pocket['properties'],
            $pocket['slot'],
            array_map(static fn (string|array $line): PlacedLine => is_string($line)
                ? new PlacedLine($line)
                : new PlacedLine($line['line'], $line['quantity'], $line['from'], $line['waits_for']), $pocket['lines']),
            array_map(static fn (array $inner): CompartmentContent => self::compartment($inner, $path, $known), $pocket['inside']),
            $pocket['max_mass_g'], $pocket['volume_ml'], $pocket['looked_for'],
        );
    }
}
