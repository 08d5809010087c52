<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Doubts;
use Sarcina\Core\Kit\CompanionNeed;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Measure\Quantity;

/** Writes what the `check` rule judges as `sarcina.kit/1` (rules.md, check): read again, it is equal. */
final class KitDocument
{
    /** @return array<string, mixed> */
    public static function of(Assignment $assignment): array
    {
        return [
            'format' => KitReader::FORMAT,
            'as_of' => (string) $assignment->asOf,
            'kit' => [
                'code' => $assignment->kit->code,
                'scope' => $assignment->kit->scope->value,
                ...($assignment->kit->maxMass === null ? [] : ['max_mass_g' => $assignment->kit->maxMass]),
                'empty_mass_g' => $assignment->kit->emptyMass,
            ],
            'policy' => [
                'expiry' => $assignment->policy->expiry->value,
                'next_check' => (string) $assignment->policy->nextCheck,
                'margin_days' => $assignment->policy->marginDays,
                'not_ready_after_days' => $assignment->policy->notReadyAfterDays,
                'prepared' => $assignment->policy->prepared,
            ],
            'items' => array_map(self::item(...), $assignment->items),
            'list' => self::list($assignment->list),
            'contents' => array_map(self::row(...), $assignment->counted),
            'also_counted' => array_map(
                static fn (array $rows): array => ['contents' => array_map(self::row(...), $rows)],
                $assignment->alsoCounted,
            ),
            'checked' => $assignment->checked === null ? null : [
                'last_full' => self::day($assignment->checked->lastFull),
                'due_on' => self::day($assignment->checked->dueOn),
            ],
            'doubts' => self::doubts($assignment->doubts),
        ];
    }

    /** @return array<string, mixed> */
    public static function item(Item $item): array
    {
        return [
            'code' => $item->code,
            'class' => $item->class->name,
            'dated' => $item->dated,
            'mass_g' => $item->mass,
            'size' => (object) array_map(self::quantity(...), $item->size),
            'scope' => $item->scope->value,
            'reserve' => $item->keepsAsReserve,
            'needs' => array_map(
                static fn (CompanionNeed $need): array => ['any_of' => $need->anyOf, 'per' => $need->per->value, 'quantity' => $need->quantity],
                $item->needs,
            ),
            'superseded_by' => $item->supersededBy,
            ...($item->afterOpeningDays === null ? [] : ['after_opening_days' => $item->afterOpeningDays]),
        ];
    }

    /** @return array{code: string, excludes: list<string>, lines: list<array<string, mixed>>} */
    public static function list(KitList $list): array
    {
        return [
            'code' => $list->code,
            'excludes' => array_map(static fn (ItemClass $class): string => $class->name, $list->excludes),
            'lines' => array_map(self::line(...), $list->lines),
        ];
    }

    /** @return array<string, mixed> */
    public static function line(Line $line): array
    {
        return [
            'id' => $line->id,
            ...($line->total === null
                ? ['quantity' => $line->quantity]
                : ['total' => [$line->total->measure => self::quantity($line->total->wanted)]]),
            'rank' => $line->rank->value,
            ...($line->anyoneMayUse ? ['anyone_may_use' => true] : []),
            'accepts' => array_map(static fn (Accepted $accepted): array => $accepted->class === null
                ? ['item' => (string) $accepted->item]
                : [
                    'class' => $accepted->class->name,
                    ...($accepted->least === [] ? [] : ['min' => array_map(self::quantity(...), $accepted->least)]),
                    ...($accepted->most === [] ? [] : ['max' => array_map(self::quantity(...), $accepted->most)]),
                ], $line->accepts),
        ];
    }

    private static function day(?Day $day): ?string
    {
        return $day === null ? null : (string) $day;
    }

    /** @return list<array<string, int|string>> */
    private static function doubts(Doubts $doubts): array
    {
        $written = [];
        foreach (['repacking' => $doubts->repacking, 'seal' => $doubts->seal] as $kind => $isDoubted) {
            if ($isDoubted) {
                $written[] = ['kind' => $kind];
            }
        }
        foreach ($doubts->faults as $item) {
            $written[] = ['kind' => 'fault', 'item' => $item];
        }
        foreach ($doubts->reportedUsed as $key => $pieces) {
            $written[] = ['kind' => 'reported_used', 'item' => substr($key, 1), 'quantity' => $pieces];
        }
        foreach ($doubts->unprepared as $item) {
            $written[] = ['kind' => 'unprepared', 'item' => $item];
        }

        return $written;
    }

    /** @return array<string, mixed> */
    private static function row(Row $row): array
    {
        return [
            'pocket' => $row->pocket,
            'item' => $row->item->code,
            'lot' => $row->lot,
            'expires' => $row->expires?->text,
            'quantity' => $row->quantity,
            'condition' => $row->condition->value,
            ...($row->openedOn === null ? [] : ['opened_on' => (string) $row->openedOn]),
        ];
    }

    /** As it was written; a measure is exact, and so is what it is written as. */
    private static function quantity(Quantity $quantity): string
    {
        return $quantity->text;
    }
}
