<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\User;
use App\Checks\UnsettledPieces;
use App\Checks\UnsettledRow;
use App\Kits\Models\Kit;
use App\Ledger\Base;
use App\Ledger\Head;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Names;
use App\Ledger\OperationSince;
use App\Ledger\OperationsSince;
use App\Ledger\WhenDone;
use Illuminate\Support\Facades\DB;

/**
 * Compares the movements of an operation that arrived late with what was recorded of its kits since (docs/rules.md, late arrivals). A kit
 * that was counted later keeps that count, and one that was taken out of service takes nothing in: the pieces pass it by, and those that
 * should be in it are unaccounted for until somebody settles them.
 */
final class LateMovements
{
    public const COUNTED_LATER = 'counted_later';

    public const IN_DOUBT = 'order_in_doubt';

    public const KIT_RETIRED = 'kit_retired';

    public const ANSWERED = 'answered';

    /** Reasons for which pieces are put in because a kit is short of them. */
    private const PUT_IN = ['restocked', 'received'];

    public function __construct(private readonly OperationsSince $since, private readonly AsFarAsThere $asFarAsThere)
    {
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  array<string, Kit>  $kits  that the movements concern, by id
     * @return array{list<LotMovement>, list<UnsettledRow>} movements to record, and rows that somebody must settle
     */
    public function of(array $movements, array $kits, Base $base, Head $head, WhenDone $when, User $by): array
    {
        $since = array_map(fn (Kit $kit): array => $this->since->of($kit, $base, $head), $kits);
        $counted = [];
        foreach ($kits as $id => $kit) {
            $counted[$id] = CountedSince::retired($kit) ?? CountedSince::of($since[$id], $when);
        }
        $passing = [];
        $doubted = [];
        foreach ($movements as $movement) {
            $later = $counted[$movement->from->kitId ?? ''] ?? null;
            array_push($passing, ...self::passingFrom($movement, $later));
            if (in_array($later?->because, [self::IN_DOUBT, self::KIT_RETIRED], true)) {
                $doubted[] = $movement;
            }
        }
        [$possible, $rest] = ($this->asFarAsThere)($passing, true);
        $names = new Names;
        $names->read([...$possible, ...$doubted]);
        foreach ($doubted as $movement) {
            array_push($rest, ...self::takenInDoubt($movement, $counted[$movement->from->kitId ?? ''] ?? null, $names));
        }
        $answered = $this->answered($since, $by);
        $recorded = [];
        foreach ($possible as $movement) {
            $kit = $movement->to->kitId ?? '';
            $later = $counted[$kit] ?? null;
            if ($later !== null && $movement->to?->isUnaccounted() === false) {
                [$pieces, $settle] = $this->passTo($movement, $movement->quantity, $later->because, $later->number, $names);
                array_push($recorded, ...$pieces);
                array_push($rest, ...$settle);

                continue;
            }
            $item = $names->lot($movement->lotId)->itemCode;
            [$there, $other] = $answered["{$kit} {$item}"] ?? [0, 0];
            $already = min($movement->quantity, self::isPutIn($movement) ? $there : 0);
            if ($already > 0) {
                [$pieces, $settle] = $this->passTo($movement, $already, self::ANSWERED, $other, $names);
                array_push($recorded, ...$pieces);
                array_push($rest, ...$settle);
                $answered["{$kit} {$item}"] = [$there - $already, $other];
            }
            if ($already < $movement->quantity) {
                $recorded[] = $movement->of($movement->quantity - $already);
            }
        }

        return [$recorded, $rest];
    }

    /**
     * Says whether the status of a kit waits for one of these rows: nobody knows whether it came before a full check.
     *
     * @param  list<UnsettledRow>  $rows
     */
    public static function leavesDoubt(array $rows): bool
    {
        return array_filter($rows, static fn (UnsettledRow $row): bool => $row->because === self::IN_DOUBT) !== [];
    }

    private static function isPutIn(LotMovement $movement): bool
    {
        return $movement->to?->kitId !== null && ! $movement->to->isUnaccounted() && in_array($movement->reason, self::PUT_IN, true);
    }

    /**
     * Lets pieces that leave a kit counted later pass by it: the count was made without them.
     *
     * @return list<LotMovement>
     */
    private static function passingFrom(LotMovement $movement, ?CountedSince $later): array
    {
        $kit = $movement->from?->kitId;
        if ($later === null || $kit === null || $movement->from === null) {
            return [$movement];
        }
        // What the kit was found to hold, or what only changed its pocket, is for the later count to say.
        if ($movement->to?->kitId === $kit || ($movement->to === null && $movement->reason === 'counted')) {
            return [];
        }
        $past = Location::unaccounted($kit, $movement->from->condition);

        return [
            new LotMovement($movement->lotId, $movement->quantity, null, $past, 'counted'),
            new LotMovement($movement->lotId, $movement->quantity, $past, $movement->to, $movement->reason),
        ];
    }

    /** @return list<UnsettledRow> pieces that left the kit, before a full check or after it */
    private static function takenInDoubt(LotMovement $movement, ?CountedSince $later, Names $names): array
    {
        $from = $movement->from;
        if ($later === null || $from?->kitId === null || $movement->to?->kitId === $from->kitId) {
            return [];
        }
        $lot = $names->lot($movement->lotId);

        return [new UnsettledRow(
            $later->because, $lot->itemName, $lot->number, $names->pocket($from->pocketId), $movement->quantity, 0,
            new UnsettledPieces($from->kitId, (string) $from->pocketId, $movement->lotId, $from->condition, -$movement->quantity), $later->number,
        )];
    }

    /** @return array{list<LotMovement>, list<UnsettledRow>} */
    private function passTo(LotMovement $movement, int $pieces, string $because, int $number, Names $names): array
    {
        $to = $movement->to;
        if ($to === null || $to->kitId === null || ($movement->from === null && $movement->reason === 'counted')) {
            return [[], []];
        }
        $lot = $names->lot($movement->lotId);
        $row = new UnsettledRow(
            $because, $lot->itemName, $lot->number, $names->pocket($to->pocketId), $movement->quantity, $movement->quantity - $pieces,
            new UnsettledPieces($to->kitId, (string) $to->pocketId, $movement->lotId, $to->condition, $pieces), $number,
        );

        return [
            [new LotMovement($movement->lotId, $pieces, $movement->from, Location::unaccounted($to->kitId, $to->condition), $movement->reason)],
            [$row],
        ];
    }

    /**
     * Finds how many pieces of each item others have put into each kit since.
     *
     * @param  array<string, list<OperationSince>>  $since  by kit
     * @return array<string, array{int, int}> pieces and the last of those operations, by kit and item
     */
    private function answered(array $since, User $by): array
    {
        $numbers = [];
        foreach ($since as $some) {
            foreach ($some as $one) {
                $numbers[$one->number] = $one->number;
            }
        }
        if ($numbers === []) {
            return [];
        }
        $answered = [];
        foreach (DB::table('movements')->join('operations', 'operations.number', '=', 'movements.operation_number')
            ->whereIn('operation_number', $numbers)->where('operations.user_id', '<>', $by->id)->whereIn('movements.reason', self::PUT_IN)
            ->whereIn('to_kit_id', array_keys($since))->whereNotNull('to_pocket_id')->orderBy('operation_number')
            ->get(['operation_number', 'to_kit_id', 'item_code', 'quantity']) as $row) {
            $key = "{$row->to_kit_id} {$row->item_code}";
            $answered[$key] = [($answered[$key][0] ?? 0) + (int) $row->quantity, (int) $row->operation_number];
        }

        return $answered;
    }
}
