<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use App\Stock\LateMovements;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/** The counts of a kit that disagree with what is on record, and that no later full check has answered. */
final class Disagreements
{
    public function __construct(private readonly Organisation $organisation)
    {
    }

    /**
     * @param  list<Kit>  $parts  the kit, and the modules in it
     * @return list<Disagreement> the earliest first
     */
    public function of(Kit $kit, array $parts): array
    {
        $disputed = [];
        $doubted = [];
        foreach ($parts as $part) {
            if ($part->disputed_by !== null) {
                $disputed[] = $part->id;
            }
            if ($part->open_doubts > 0) {
                $doubted[] = $part->id;
            }
        }

        return [
            ...($disputed === [] ? [] : $this->ofChecks($kit, $parts, $disputed)),
            ...($doubted === [] ? [] : $this->ofEntries($kit, $doubted)),
        ];
    }

    /**
     * @param  list<Kit>  $parts
     * @param  list<string>  $ids  of those with a check that is disputed
     * @return list<Disagreement>
     */
    private function ofChecks(Kit $kit, array $parts, array $ids): array
    {
        $checks = $this->open($ids);
        $rows = DB::table('check_rows')->whereIn('operation_number', $checks->pluck('number')->unique()->all())
            ->whereIn('kit_id', array_map(static fn (Kit $part): string => $part->id, $parts))
            ->where(static fn (Builder $differs): Builder => $differs->where('in_doubt', true)->orWhereColumn('counted', '<>', 'became'))
            ->get(['check_rows.*', DB::raw('(SELECT COUNT(*) FROM lots WHERE lots.id = lot_id AND recalled_on IS NOT NULL) AS is_recalled')])
            ->groupBy('operation_number');

        return array_values($checks->groupBy('number')->map(fn (Collection $same, int|string $number): Disagreement => new Disagreement(
            (string) $same->first()?->user_name,
            Day::of($this->organisation->dayOfInstant((string) $same->first()?->received_at)),
            $same->every(static fn (stdClass $check): bool => $check->standing === 'stands'),
            self::difference($kit, $same, $rows->get($number) ?? new Collection),
        ))->all());
    }

    /**
     * Finds restocks and other entries of which nobody knows whether they came before a full check: with their pieces it is another count.
     *
     * @param  list<string>  $ids
     * @return list<Disagreement>
     */
    private function ofEntries(Kit $kit, array $ids): array
    {
        $answered = static fn (Builder $full): Builder => $full->from('checks')
            ->join('operations as later', 'later.number', '=', 'checks.operation_number')
            ->whereColumn('checks.kit_id', 'unsettled.pieces_kit_id')->where('checks.standing', 'stands')->where('later.kind', 'full_check')
            ->whereColumn('later.number', '>', 'unsettled.operation_number')->whereColumn('later.done_at', '>=', 'unsettled.done_at');
        $rows = DB::table('unsettled')->join('users', 'users.id', '=', 'unsettled.user_id')->join('lots', 'lots.id', '=', 'unsettled.pieces_lot_id')
            ->join('items', 'items.id', '=', 'lots.item_id')->whereIn('pieces_kit_id', $ids)->where('because', LateMovements::IN_DOUBT)
            ->whereNull('settled_at')->whereNotExists($answered)->orderBy('unsettled.id')
            ->get(['unsettled.*', 'users.name', 'items.code', 'lots.number', 'lots.expires', 'lots.recalled_on']);

        return array_values($rows->groupBy('operation_id')->map(fn (Collection $same): Disagreement => new Disagreement(
            (string) $same->first()?->name,
            Day::of($this->organisation->dayOfInstant((string) $same->first()?->received_at)),
            true,
            new CountDifference(array_values($same->map(static fn (stdClass $row): array => [
                new ContentRow(
                    $row->pieces_kit_id === $kit->id ? $row->pieces_pocket_id : "{$row->pieces_kit_id}.{$row->pieces_pocket_id}",
                    $row->code, $row->pieces_lot_id, $row->number, $row->expires, (int) $row->pieces, $row->pieces_condition,
                    $row->recalled_on !== null,
                ),
                (int) $row->pieces,
            ])->all())),
        ))->all());
    }

    /**
     * @param  Collection<int, stdClass>  $checks  of one operation
     * @param  Collection<int, stdClass>  $rows
     */
    private static function difference(Kit $kit, Collection $checks, Collection $rows): CountDifference
    {
        $standing = $checks->pluck('standing', 'kit_id')->all();
        $differences = [];
        foreach ($rows as $row) {
            // A check that stands differs from the record by later movements too: of it only the rows in doubt are another count.
            if (! isset($standing[$row->kit_id]) || ($standing[$row->kit_id] === 'stands' && ! $row->in_doubt)) {
                continue;
            }
            $pocket = $row->kit_id === $kit->id ? $row->pocket_id : "{$row->kit_id}.{$row->pocket_id}";
            $differences[] = [
                new ContentRow(
                    $pocket, $row->item_code, $row->lot_id, $row->lot_number, $row->expires, (int) $row->counted,
                    $row->condition, $row->is_recalled > 0,
                ),
                (int) $row->counted - (int) $row->became,
            ];
        }

        return new CountDifference($differences);
    }

    /**
     * @param  list<string>  $kits
     * @return Collection<int, stdClass>
     */
    private function open(array $kits): Collection
    {
        $inDoubt = static fn (Builder $row): Builder => $row->from('check_rows')
            ->whereColumn('check_rows.operation_number', 'checks.operation_number')
            ->whereColumn('check_rows.kit_id', 'checks.kit_id')->where('in_doubt', true);
        // A full check that was recorded after it and done no earlier; one that was there before it is the one that it disagrees with.
        $answered = static fn (Builder $full): Builder => $full->from('checks as answers')
            ->join('operations as later', 'later.number', '=', 'answers.operation_number')
            ->whereColumn('answers.kit_id', 'checks.kit_id')->where('answers.standing', 'stands')->where('later.kind', 'full_check')
            ->whereColumn('later.number', '>', 'operations.number')->whereColumn('later.done_at', '>=', 'operations.done_at');

        return DB::table('checks')->join('operations', 'operations.number', '=', 'checks.operation_number')->whereIn('checks.kit_id', $kits)
            ->where(static fn (Builder $doubt): Builder => $doubt->where('checks.standing', 'disputed')
                ->orWhere(static fn (Builder $rows): Builder => $rows->where('checks.standing', 'stands')->whereExists($inDoubt)))
            ->whereNotExists($answered)->orderBy('operations.number')
            ->get(['operations.number', 'checks.kit_id', 'checks.standing', 'operations.user_name', 'operations.received_at']);
    }
}
