<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Ledger\Parts\KitChanged;
use App\Ledger\Parts\SealEvent;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What was recorded of kits, as the events that their facts follow from. */
final class KitHistory
{
    public static function instant(CarbonInterface $at): string
    {
        return $at->copy()->utc()->format('Y-m-d H:i:s');
    }

    /** Such an instant as the page is told it: "2026-11-29T05:00:00Z". */
    public static function said(string $instant): string
    {
        return str_replace(' ', 'T', $instant).'Z';
    }

    /**
     * The earlier events of those kits for which the operation was not done last: their facts are worked out anew.
     *
     * @return array<string, list<KitEvent>> by kit
     */
    public function toFold(Operation $operation): array
    {
        $doneAt = self::instant($operation->doneAt);
        $late = [];
        foreach ($operation->kits as $kit) {
            if ($kit->last_done_at !== null && $kit->last_done_at > $doneAt) {
                $late[] = $kit->id;
            }
        }

        return $late === [] ? [] : $this->events($late);
    }

    /**
     * @param  list<string>|null  $kitIds  null: of all kits
     * @return array<string, list<KitEvent>> by kit
     */
    public function events(?array $kitIds = null): array
    {
        $only = static fn ($query, string $column) => $kitIds === null ? $query : $query->whereIn($column, $kitIds);
        $seals = [];
        foreach ($only(DB::table('seals'), 'kit_id')->orderBy('operation_number')->orderBy('position')->get() as $seal) {
            $seals["{$seal->kit_id} {$seal->operation_number}"][] = new SealEvent(
                $seal->kit_id,
                $seal->event,
                $seal->seal_number,
                $seal->reason,
                $seal->set_by === null ? null : (int) $seal->set_by,
            );
        }
        $changes = [];
        foreach ($only(DB::table('kit_changes'), 'kit_id')->orderBy('operation_number')->orderBy('position')->get() as $change) {
            $changes["{$change->kit_id} {$change->operation_number}"][] = new KitChanged(
                $change->kit_id,
                $change->field,
                $change->was,
                $change->becomes,
                $change->was_name,
                $change->becomes_name,
            );
        }
        $standings = [];
        foreach ($only(DB::table('checks'), 'kit_id')->get(['kit_id', 'operation_number', 'standing']) as $check) {
            $standings["{$check->kit_id} {$check->operation_number}"] = $check->standing;
        }
        $doubts = [];
        foreach ($only(DB::table('check_rows'), 'kit_id')->where('in_doubt', true)->distinct()->get(['kit_id', 'operation_number']) as $doubt) {
            $doubts["{$doubt->kit_id} {$doubt->operation_number}"] = true;
        }
        $uses = [];
        foreach ($only(
            DB::table('movements')->whereIn('reason', LotMovement::USES)->whereNotNull('from_pocket_id'),
            'from_kit_id',
        )->distinct()->get(['operation_number', 'from_kit_id']) as $use) {
            $uses["{$use->from_kit_id} {$use->operation_number}"] = true;
        }
        // Pieces that somebody settled into a kit: no check has counted them.
        $settled = [];
        foreach ($only(DB::table('movements')->whereNull('from_pocket_id')->whereNotNull('from_kit_id')->whereNotNull('to_pocket_id'), 'to_kit_id')
            ->distinct()->get(['operation_number', 'to_kit_id']) as $one) {
            $settled["{$one->to_kit_id} {$one->operation_number}"] = true;
        }
        $restores = LostTail::restores();
        $events = [];
        $of = $only(
            DB::table('operation_kits')->join('operations', 'operations.number', '=', 'operation_kits.operation_number'),
            'operation_kits.kit_id',
        )->orderBy('operations.number');
        $of->get(['operations.number', 'operations.done_at', 'operations.day', 'operations.kind', 'operation_kits.kit_id',
            'operations.epoch', 'operations.base_epoch', 'operations.base_number'])
            ->each(function (stdClass $row) use (&$events, $seals, $changes, $standings, $doubts, $uses, $settled, $restores): void {
                $key = "{$row->kit_id} {$row->number}";
                $kind = OperationKind::tryFrom($row->kind);
                // One of a kind that is not known is named by the verification; nothing follows from it.
                if ($kind === null) {
                    return;
                }
                $events[$row->kit_id][] = new KitEvent(
                    (int) $row->number, $row->done_at, $row->day, $kind, $kind->isCheck() ? ($standings[$key] ?? null) : null,
                    isset($doubts[$key]), isset($uses[$key]), $seals[$key] ?? [], $changes[$key] ?? [],
                    isset($settled[$key]) || $kind === OperationKind::PutBack,
                    $row->base_epoch !== null && $row->base_epoch < $row->epoch
                        && (int) $row->base_number >= ($restores[$row->base_epoch + 1] ?? PHP_INT_MAX),
                );
            });

        return $events;
    }
}
