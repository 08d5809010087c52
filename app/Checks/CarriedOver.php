<?php

declare(strict_types=1);

namespace App\Checks;

use App\Catalogue\Catalogue;
use App\Judging\ContentRow;
use App\Judging\KitPlan;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Ledger\OperationKind;
use App\Ledger\OperationSince;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * What somebody counted in a kit by an older edition of its design, as the pockets are now: what changed its pocket meanwhile is where it
 * went; the rest goes where a line of its old pocket lives now. What has no place by either needs somebody.
 */
final class CarriedOver
{
    public function __construct(private readonly KitPlans $plans, private readonly Catalogue $catalogue)
    {
    }

    /**
     * @param  list<OperationSince>  $since
     * @param  list<ContentRow>  $counted
     * @return array{list<ContentRow>, list<UnsettledRow>}
     */
    public function __invoke(Kit $kit, array $since, array $counted): array
    {
        if ($since === []) {
            return [$counted, []];
        }
        $changes = array_values(array_filter($since, static fn (OperationSince $one): bool => $one->kind === OperationKind::Change));
        $plan = $this->plans->forKit($kit);
        $moves = $changes === [] ? [] : self::moves($kit, $changes);
        $carried = [];
        $rest = [];
        foreach ($counted as $row) {
            foreach ($moves as $ofOne) {
                $row = $row->in($ofOne[$row->key()] ?? $row->pocketId);
            }
            if (! isset($plan->pockets[$row->pocketId])) {
                $home = $this->home($plan, $row);
                if ($home === null) {
                    $rest[] = new UnsettledRow(
                        'no_such_pocket', $this->catalogue->name($row->itemCode), $row->lot, self::pocketName($row->pocketId), $row->quantity, 0,
                    );

                    continue;
                }
                $row = $row->in($home);
            }
            $same = $carried[$row->key()] ?? null;
            $carried[$row->key()] = $same === null ? $row : $row->of($row->quantity + $same->quantity);
        }

        return [array_values($carried), $rest];
    }

    /**
     * @param  non-empty-list<OperationSince>  $changes
     * @return list<array<string, string>> pockets by the key of the row that lay elsewhere, of each change in turn
     */
    private static function moves(Kit $kit, array $changes): array
    {
        $ids = array_map(static fn (Kit $one): string => $one->id, $kit->whole());
        $rows = DB::table('movements')->whereIn('operation_number', array_map(static fn (OperationSince $one): int => $one->number, $changes))
            ->whereIn('from_kit_id', $ids)->whereColumn('to_kit_id', 'from_kit_id')->orderBy('operation_number')->get()->groupBy('operation_number');

        return array_values($rows->map(static fn ($moved): array => $moved->mapWithKeys(static function (object $one) use ($kit): array {
            // Pockets of a module have its id and a dot before theirs.
            $before = $one->from_kit_id === $kit->id ? '' : "{$one->from_kit_id}.";

            return ["{$before}{$one->from_pocket_id} {$one->lot_id} {$one->from_condition}" => $before.$one->to_pocket_id];
        })->all())->all());
    }

    /** Where a line that lived in its pocket, and takes it, lives now. */
    private function home(KitPlan $plan, ContentRow $row): ?string
    {
        $item = $this->catalogue->items([$row->itemCode])[$row->itemCode];
        $codes = DB::table('placements')->where('pocket_id', Str::afterLast($row->pocketId, '.'))->orderBy('position')->pluck('line_code')->all();
        $part = Str::contains($row->pocketId, '.') ? Str::before($row->pocketId, '.') : null;
        foreach ($plan->lines as $line) {
            $isOfPart = $line->pocketId !== null && (Str::contains($line->pocketId, '.') ? Str::before($line->pocketId, '.') : null) === $part;
            if ($isOfPart && in_array(Str::afterLast($line->code(), '.'), $codes, true) && $line->asked->entryFor($item) !== null) {
                return $line->pocketId;
            }
        }

        return null;
    }

    private static function pocketName(string $pocket): ?string
    {
        $name = DB::table('compartments')->where('pocket_id', Str::afterLast($pocket, '.'))->value('name');

        return is_string($name) ? $name : null;
    }
}
