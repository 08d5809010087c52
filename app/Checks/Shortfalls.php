<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\Organisation;
use App\Checks\Http\ShortfallResource;
use App\Checks\Http\ShortfallShare;
use App\Checks\Http\ShortfallsResource;
use App\Judging\ContentRow;
use App\Kits\Models\Kit;
use App\People\Shifts;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/**
 * What a full check counted fewer of than was on record, though no use of it was said. It is asked once where it went; what stays is how
 * much nobody said, by place and shift, and never by person.
 */
final class Shortfalls
{
    private const SHARE_DAYS = 365;

    public function __construct(private readonly Shifts $shifts, private readonly Organisation $organisation)
    {
    }

    /**
     * Within the transaction that recorded the check. What only changed its pocket, its lot or its condition has not gone.
     *
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $counted
     */
    public function note(int $operation, Kit $kit, CheckReport $report, array $before, array $counted): void
    {
        $fewer = [];
        foreach ([[$before, 1], [$counted, -1]] as [$rows, $sign]) {
            foreach ($rows as $row) {
                $fewer[$row->itemCode] = ($fewer[$row->itemCode] ?? 0) + $sign * $row->quantity;
            }
        }
        $fewer = array_filter($fewer, static fn (int $pieces): bool => $pieces > 0);
        if ($fewer === []) {
            return;
        }
        $ids = DB::table('items')->whereIn('code', array_map(strval(...), array_keys($fewer)))->pluck('id', 'code')->all();
        $on = $this->shifts->on($report->when->begunAt);
        DB::table('shortfalls')->insert(array_map(fn (string|int $code, int $pieces): array => [
            'operation_number' => $operation, 'kit_id' => $kit->id, 'place_id' => $kit->place_id, 'shift' => $on[0] ?? null,
            'day' => $this->organisation->dayOf($report->when->doneAt), 'item_id' => $ids[$code], 'pieces' => $pieces,
        ], array_keys($fewer), $fewer));
    }

    /** @param  string  $why  used, moved, lost, miscounted or unknown */
    public function answer(int $id, string $why): void
    {
        DB::table('shortfalls')->where('id', $id)->update(['why' => $why]);
    }

    public function of(Kit $kit): ShortfallsResource
    {
        $since = (string) Day::of($this->organisation->today())->plusDays(-self::SHARE_DAYS);
        $last = DB::table('checks')->join('operations', 'operations.number', '=', 'checks.operation_number')->where('checks.kit_id', $kit->id)
            ->where('operations.kind', 'full_check')->where('checks.standing', 'stands')->max('operations.number');
        $asked = $this->read($kit, $since)->whereNull('why')->where('operation_number', $last)->orderBy('items.name')
            ->get(['shortfalls.id', 'items.code', 'items.name', 'pieces', 'day']);
        $shares = $this->read($kit, $since)->join('places', 'places.id', '=', 'shortfalls.place_id')
            ->groupBy('places.name', 'shift')->orderBy('places.name')->orderBy('shift')
            ->selectRaw('places.name AS place, shift, SUM(pieces) AS pieces, '.
                "SUM(CASE WHEN why IS NULL OR why = 'unknown' THEN pieces ELSE 0 END) AS unsaid")
            ->get();

        return new ShortfallsResource(
            array_values($asked->map(static fn (stdClass $row): ShortfallResource => new ShortfallResource(
                (int) $row->id, $row->code, $row->name, (int) $row->pieces, $row->day,
            ))->all()),
            array_values($shares->map(static fn (stdClass $row): ShortfallShare => new ShortfallShare(
                $row->place, $row->shift, (int) $row->unsaid, (int) $row->pieces,
            ))->all()),
        );
    }

    private function read(Kit $kit, string $since): Builder
    {
        return DB::table('shortfalls')->join('items', 'items.id', '=', 'shortfalls.item_id')->where('shortfalls.kit_id', $kit->id)
            ->where('shortfalls.day', '>=', $since);
    }
}
