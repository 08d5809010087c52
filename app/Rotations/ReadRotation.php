<?php

declare(strict_types=1);

namespace App\Rotations;

use App\Accounts\Models\Organisation;
use App\Rotations\Http\MoveResource;
use App\Rotations\Http\RotationResource;
use App\Rotations\Models\Rotation;
use App\Rotations\Models\RotationMove;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Rotate\ItemRotation;
use Sarcina\Core\Rotate\Move;

/** The plan that is being carried out; where there is none, what would be saved today. */
final class ReadRotation
{
    public function __construct(private readonly FindRotation $find, private readonly Organisation $organisation)
    {
    }

    public function __invoke(string $today): RotationResource
    {
        $open = Rotation::query()->with(['moves.lot.item', 'moves.from.place', 'moves.to.place', 'madeBy'])->where('ended_on', null)->first();
        if ($open !== null) {
            return new RotationResource(
                $open->id, $open->madeBy->name, $open->made_on, $open->saved, $open->value, $this->organisation->currency,
                array_values($open->moves->map(fn (RotationMove $move): MoveResource => $this->move($move))->all()), 0,
            );
        }
        $plan = ($this->find)($today);
        $wasted = array_sum(array_map(static fn (ItemRotation $one): int => $one->wasted, $plan->items));

        return new RotationResource(
            null, null, null, $plan->saved(), $plan->value(), $this->organisation->currency, $this->proposed($plan->moves()), $wasted,
        );
    }

    private function move(RotationMove $move): MoveResource
    {
        return new MoveResource(
            $move->id, $move->lot->item->code, $move->lot->item->name, $move->lot->number, $move->lot->good_until, $move->quantity,
            $move->from->code, $move->from->place->path, $move->to->code, $move->to->place->path, $move->operation_number !== null,
            $move->dropped_because,
        );
    }

    /**
     * @param  list<Move>  $moves
     * @return list<MoveResource>
     */
    private function proposed(array $moves): array
    {
        $lots = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereIn('lots.id', array_map(static fn (Move $move): string => (string) $move->lot, $moves))
            ->get(['lots.id', 'lots.number', 'lots.good_until', 'items.code', 'items.name'])->keyBy('id');
        $kits = DB::table('kits')->join('places', 'places.id', '=', 'kits.place_id')
            ->whereIn('kits.id', array_merge(...array_map(static fn (Move $move): array => [$move->from, $move->to], $moves)))
            ->get(['kits.id', 'kits.code', 'places.path'])->keyBy('id');

        return array_map(static fn (Move $move): MoveResource => new MoveResource(
            null, $lots[$move->lot]->code, $lots[$move->lot]->name, $lots[$move->lot]->number, $lots[$move->lot]->good_until, $move->quantity,
            $kits[$move->from]->code, $kits[$move->from]->path, $kits[$move->to]->code, $kits[$move->to]->path, false, null,
        ), $moves);
    }
}
