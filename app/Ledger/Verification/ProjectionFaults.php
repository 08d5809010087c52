<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\Digests;
use App\Ledger\KitFacts;
use App\Ledger\KitHistory;
use App\Ledger\Part;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;

/**
 * What is kept beside the record, and verdicts rest on, against what the record says: holdings, facts of kits, lots, signed and confirmed documents.
 */
final class ProjectionFaults
{
    /** Names at most this many missing operations in each table. */
    private const NAMED = 20;

    public function __construct(
        private readonly KitHistory $history,
        private readonly Digests $digests,
    ) {
    }

    /** @return list<string> in words */
    public function of(Replay $replay): array
    {
        return [
            ...array_map(
                static fn (HoldingDifference $one): string => "{$one->where}: {$one->kept} kept as being there, {$one->recorded} by the record.",
                $this->holdings($replay),
            ),
            ...$this->kitFaults(),
            ...$this->lotFaults($replay),
            ...$this->documentFaults($replay),
            ...$this->rowsOfNoOperation(),
            ...$this->reportFaults(),
        ];
    }

    /** @return list<HoldingDifference> */
    public function holdings(Replay $replay): array
    {
        $recorded = $replay->pieces();
        $differences = [];
        foreach (DB::table('holdings')->orderBy('id')->lazyById(2000) as $row) {
            $key = "{$row->lot_id} {$row->condition}";
            $should = $recorded[$row->whereabouts][$key] ?? 0;
            if ($should !== (int) $row->quantity) {
                $differences[] = new HoldingDifference($row->whereabouts, $row->lot_id, $row->condition, (int) $row->quantity, $should);
            }
            unset($recorded[$row->whereabouts][$key]);
        }
        foreach ($recorded as $where => $pieces) {
            foreach ($pieces as $key => $quantity) {
                [$lot, $condition] = explode(' ', $key, 2);
                $differences[] = new HoldingDifference((string) $where, $lot, $condition, 0, $quantity);
            }
        }

        return $differences;
    }

    /** @return array<string, KitFacts> what the record says of the kits for which something else is kept, by id */
    public function kits(): array
    {
        $events = $this->history->events();
        $differing = [];
        foreach (DB::table('kits')->orderBy('id')->get() as $row) {
            $facts = KitFacts::after($events[$row->id] ?? []);
            if ($facts->differencesFrom(KitFacts::from((array) $row)) !== []) {
                $differing[$row->id] = $facts;
            }
        }

        return $differing;
    }

    /** @return list<string> */
    private function kitFaults(): array
    {
        $faults = [];
        foreach ($this->kits() as $id => $facts) {
            $row = (array) DB::table('kits')->where('id', $id)->first();
            foreach ($facts->differencesFrom(KitFacts::from($row)) as $column) {
                $says = $facts->columns()[$column] ?? 'nothing';
                $kept = is_scalar($row[$column] ?? null) ? $row[$column] : 'nothing';
                $faults[] = "Kit {$row['code']}: {$column} is kept as {$kept}, by the record it is {$says}.";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function lotFaults(Replay $replay): array
    {
        $faults = [];
        $recorded = $replay->lots();
        foreach (
            DB::table('lots')
                ->join('items', 'items.id', '=', 'lots.item_id')
                ->orderBy('lots.id')
                ->get(['lots.id', 'lots.number', 'lots.expires', 'lots.good_until', 'items.name', 'items.code']) as $lot
        ) {
            [$number, $expires, $operation, $item] = $recorded[$lot->id] ?? [$lot->number, $lot->expires, 0, $lot->code];
            $named = "Lot {$lot->number} of {$lot->name}";
            if ($item !== $lot->code) {
                $faults[] = "{$named} was given to another item: when it last moved (operation {$operation}) it was a lot of the item {$item}.";
            } elseif ($expires !== $lot->expires || $number !== $lot->number) {
                $faults[] =
                    "{$named} is kept as expiring ".
                    ($lot->expires ?? 'never').
                    ', but when it last moved (operation '.
                    $operation.
                    ') it read '.
                    ($number ?? 'no number').
                    ', '.
                    ($expires ?? 'no date').
                    '.';
            } elseif ($lot->good_until !== ($lot->expires === null ? null : (string) PrintedDate::of($lot->expires)->lastGoodDay)) {
                $faults[] = "{$named} is kept as in date until {$lot->good_until}, but {$lot->expires} is printed on it.";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function rowsOfNoOperation(): array
    {
        $faults = [];
        foreach (Part::cases() as $part) {
            $numbers = DB::table($part->value)->leftJoin('operations', 'operations.number', '=', "{$part->value}.operation_number")
                ->whereNull('operations.number')->distinct()->orderBy('operation_number')->limit(self::NAMED)->pluck('operation_number');
            foreach ($numbers as $number) {
                $faults[] = "{$part->value} has rows of operation {$number}, which is not there.";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function reportFaults(): array
    {
        $waiting = DB::table('kit_reports')->whereNull('outcome')->selectRaw('kit_id, COUNT(*) AS number')->groupBy('kit_id')
            ->pluck('number', 'kit_id');
        $faults = [];
        foreach (DB::table('kits')->get(['id', 'code', 'open_reports']) as $kit) {
            $there = (int) ($waiting[$kit->id] ?? 0);
            if ((int) $kit->open_reports !== $there) {
                $faults[] = "Kit {$kit->code}: {$kit->open_reports} reports of use are kept as waiting, and {$there} are there.";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function documentFaults(Replay $replay): array
    {
        $faults = [];
        $attested = $replay->attestations();
        foreach ($attested as $key => [$digest, $operation, $title]) {
            [$subject, $id] = explode(' ', $key, 2);
            if ($this->digests->of($subject, $id) !== $digest) {
                $faults[] =
                    "{$title} is not as it was when it was ".
                    ($subject === 'assessment' ? 'signed' : 'confirmed').
                    " (operation {$operation}).";
            }
        }
        foreach (
            [
                'assessment' => ['assessments', 'signed_on', 'signed'],
                'edition' => ['lists', 'confirmed_at', 'confirmed'],
            ] as $subject => [$table, $column, $done]
        ) {
            foreach (
                DB::table($table)
                    ->whereNotNull($column)
                    ->get(['id', 'title']) as $row
            ) {
                if (! isset($attested["{$subject} {$row->id}"])) {
                    $faults[] = "{$row->title} is kept as {$done}, but nothing of that is on record.";
                }
            }
        }

        return $faults;
    }
}
