<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\SuitableItem;
use App\Kits\Models\Kit;
use App\Ledger\Parts\CheckFinding;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Advice\Wanted;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Due\Urgency;
use stdClass;

/** Writes the status of a kit: its state with the last day through which that holds, its findings, and the marks of the horizon. */
final class WriteState
{
    public function __construct(private readonly Words $words, private readonly SuitableItem $suitable)
    {
    }

    /** @param  bool  $isHeld  whether nobody else may be writing it: then it is made where it is not there yet */
    public function __invoke(Kit $kit, Judged $judged, string $asOf, bool $isHeld): void
    {
        $state = self::said($kit, $judged, $asOf) + [
            'holds_through' => $judged->holdsThrough()?->__toString(),
            'judged_for' => $asOf,
            'judged_version' => $judged->version,
            'rests_on' => $kit->last_operation,
            'waits_since' => null,
        ];
        $isHeld
            ? DB::table('kit_states')->upsert(
                [[...$state, 'kit_id' => $kit->id, 'needs_version' => 0, 'needs_operation' => $kit->last_operation]],
                ['kit_id'],
                array_keys($state),
            )
            : DB::table('kit_states')->where('kit_id', $kit->id)->update($state);
        $this->keepRows('kit_findings', $kit, array_map(
            static fn (int $position, CheckFinding $fact): array => ['position' => $position, ...$fact->columns()],
            array_keys($facts = $this->words->facts($judged)),
            $facts,
        ), 'position');
        $this->keepRows('kit_shift_states', $kit, array_map(static fn (ShiftVerdict $one): array => [
            'shift' => $one->shift, 'scope' => $one->scope->value, 'verdict' => $one->verdict->value,
        ], $judged->shifts()), 'shift');
        $this->keepRows('kit_dates', $kit, $this->dates($kit, $judged), 'id');
        $this->keepRows('kit_wants', $kit, array_map(
            fn (Wanted $want): array => $this->want($judged, $want),
            $judged->advice()->wanted(),
        ), 'id');
    }

    /** @return array<string, bool|int|string|null> what Today and the lists say of the kit */
    public static function said(Kit $kit, Judged $judged, string $asOf): array
    {
        $due = $judged->due();
        $wantsRestock = $judged->advice()->wantsRestock();

        return [
            'code' => $kit->code,
            'walk_order' => $kit->place->walk_order,
            'verdict' => $judged->verdict()->value,
            'mass_g' => $judged->judgement->mass,
            'next_check' => (string) $judged->judgement->assignment->policy->nextCheck,
            'due_on' => $due->day === null ? null : (string) $due->day,
            'due_kind' => $due->kind,
            'due_because' => $due->because,
            'overdue_from' => $due->day === null ? null : (string) Urgency::overdueFrom($due->day, $judged->graceDays),
            'band' => Urgency::band($judged->verdict(), $due->day, $wantsRestock || $judged->isOpen(), Day::of($asOf))->value,
            'wants_restock' => $wantsRestock,
        ];
    }

    /**
     * Most judgings leave them as they are: then there is nothing to write.
     *
     * @param  list<array<string, bool|int|string|null>>  $rows
     */
    private function keepRows(string $table, Kit $kit, array $rows, string $order): void
    {
        $columns = array_keys($rows[0] ?? ['kit_id' => 0]);
        $kept = DB::table($table)->where('kit_id', $kit->id)->orderBy($order)->get($columns)
            ->map(static fn (stdClass $row): array => self::asText((array) $row))->all();
        if ($kept !== array_map(self::asText(...), $rows)) {
            DB::table($table)->where('kit_id', $kit->id)->delete();
            DB::table($table)->insert(array_map(static fn (array $row): array => ['kit_id' => $kit->id, ...$row], $rows));
        }
    }

    /**
     * The database may give a number as text; lot 0123 is not lot 123 all the same.
     *
     * @param  array<mixed>  $row
     * @return array<string|null>
     */
    private static function asText(array $row): array
    {
        return array_map(static fn (mixed $value): ?string => is_scalar($value) ? (string) $value : null, $row);
    }

    /** @return array<string, bool|int|string|null> */
    private function want(Judged $judged, Wanted $want): array
    {
        // Where the line names a class, the item that would be bought for it; none where the catalogue has none that is suitable.
        $item = $want->item ?? ($want->line === null ? null : $this->suitable->best($want->line, $judged->atBest()->assignment->isUsable(...)));
        $what = $want->line === null ? implode(' or ', $want->companion->anyOf ?? []) : $judged->plan->line($want->line->id)->need;

        return ['item_code' => $item, 'what' => mb_substr($what, 0, 160), 'pieces' => $want->pieces, 'is_critical' => (int) $want->isCritical];
    }

    /** @return list<array<string, string|null>> the marks of the horizon */
    private function dates(Kit $kit, Judged $judged): array
    {
        $mark = ['place_id' => $kit->place_id, 'item_code' => null, 'due_kind' => null, 'due_because' => null];
        $due = $judged->due();
        $marks = $due->day === null ? [] : [
            [...$mark, 'day' => (string) $due->day, 'kind' => 'check', 'due_kind' => $due->kind, 'due_because' => $due->because],
        ];
        $expiries = [];
        foreach ($judged->judgement->assignment->contents as $index => $row) {
            $day = (string) $row->lastGoodDay();
            if ($day !== '' && $judged->judgement->assignment->isEffective($index)) {
                $expiries["{$day} {$row->item->code}"] = [...$mark, 'day' => $day, 'kind' => 'expiry', 'item_code' => $row->item->code];
            }
        }
        ksort($expiries);

        return [...$marks, ...array_values($expiries)];
    }
}
