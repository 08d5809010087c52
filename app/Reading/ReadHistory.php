<?php

declare(strict_types=1);

namespace App\Reading;

use App\Http\Resources\HistoryEntry;
use App\Http\Resources\HistoryResource;
use App\Http\Resources\MovementResource;
use App\Models\Check;
use App\Models\Kit;
use App\Models\KitChange;
use App\Models\Movement;
use Illuminate\Database\Eloquent\Collection;

/** What happened to a kit, newest first: every check and movement, who, when and why. */
final class ReadHistory
{
    private const PAGE = 120;

    /** @param  int|null  $before  movements below this number */
    public function __invoke(Kit $kit, ?int $before): HistoryResource
    {
        $movements = Movement::query()
            ->where(fn ($query) => $query->where('from_kit_id', $kit->id)->orWhere('to_kit_id', $kit->id))
            ->when($before !== null, fn ($query) => $query->where('number', '<', $before))
            ->with(['lot.item', 'user', 'fromPocket', 'toPocket', 'fromStore', 'toStore'])
            ->orderByDesc('number')->limit(self::PAGE + 1)->get();
        $more = $movements->count() > self::PAGE;
        $movements = $movements->take(self::PAGE);
        $groups = $movements->groupBy(fn (Movement $movement): string => $movement->check_id ?? $movement->batch_id ?? $movement->moved_at);
        if ($more && $groups->count() > 1) {
            // The last group may go on below the page.
            $groups->pop();
        }
        /** @var Movement|null $last */
        $last = $groups->last()?->last();
        $checks = Check::query()->where('kit_id', $kit->id)->with('user')
            ->when($before !== null, fn ($query) => $query->where('finished_at', '<', (string) Movement::query()->where('number', $before)->value('moved_at')))
            ->when($more && $last !== null, fn ($query) => $query->where('finished_at', '>=', (string) $last?->moved_at))
            ->orderByDesc('number')->get();
        $entries = [];
        foreach ($checks as $check) {
            $moved = $groups->pull($check->id) ?? new Collection;
            $entries[] = new HistoryEntry($check->finished_at.'Z', 'check', $check->kind === 'full' ? 'Full check' : 'Quick check', $check->user->name, DescribeKit::check($check), $this->movements($kit, $moved));
        }
        $changes = KitChange::query()->where('kit_id', $kit->id)->with('user')
            ->when($before !== null, fn ($query) => $query->where('changed_at', '<', (string) Movement::query()->where('number', $before)->value('moved_at')))
            ->when($more && $last !== null, fn ($query) => $query->where('changed_at', '>=', (string) $last?->moved_at))
            ->orderBy('id', 'desc')->get();
        foreach ($changes as $change) {
            $entries[] = new HistoryEntry($change->changed_at.'Z', 'changed', $change->text, $change->user->name, null, []);
        }
        foreach ($groups as $group) {
            /** @var Movement $first */
            $first = $group->first();
            $reasons = $group->pluck('reason')->unique();
            $kind = $reasons->contains('restocked') ? 'restocked' : (string) $reasons->first();
            $entries[] = new HistoryEntry($first->moved_at.'Z', $kind, self::title($kind), $first->user->name, null, $this->movements($kit, $group));
        }
        usort($entries, static fn (HistoryEntry $one, HistoryEntry $other): int => $other->at <=> $one->at);

        return new HistoryResource($kit->code, $kit->name, $entries, $more ? $last?->number : null);
    }

    private static function title(string $kind): string
    {
        return match ($kind) {
            'restocked' => 'Restocked',
            'used' => 'Used',
            'received' => 'Packed',
            'discarded' => 'Taken out',
            'returned' => 'Returned to the store',
            default => 'Corrected',
        };
    }

    /**
     * @param  \Illuminate\Support\Collection<int, Movement>  $movements
     * @return list<MovementResource>
     */
    private function movements(Kit $kit, \Illuminate\Support\Collection $movements): array
    {
        return array_values($movements->map(fn (Movement $movement): MovementResource => new MovementResource(
            $movement->number, $movement->lot->item->code, $movement->lot->item->name, $movement->lot->number, $movement->quantity, self::text($kit, $movement),
        ))->all());
    }

    private static function text(Kit $kit, Movement $movement): string
    {
        $came = $movement->to_kit_id === $kit->id;
        $went = $movement->from_kit_id === $kit->id;
        if ($came && $went) {
            return $movement->from_condition !== $movement->to_condition
                ? "found {$movement->to_condition}, recorded as {$movement->from_condition}"
                : "found in {$movement->toPocket?->name}, recorded in {$movement->fromPocket?->name}";
        }
        if ($came) {
            return match ($movement->reason) {
                'counted' => "found more than recorded, {$movement->toPocket?->name}",
                default => "put into {$movement->toPocket?->name}".($movement->fromStore === null ? '' : ", from {$movement->fromStore->name}"),
            };
        }

        return match ($movement->reason) {
            'counted' => "not found, recorded in {$movement->fromPocket?->name}",
            'used' => "used from {$movement->fromPocket?->name}",
            'discarded' => "discarded from {$movement->fromPocket?->name}, {$movement->from_condition}",
            default => "taken from {$movement->fromPocket?->name}".($movement->toStore === null ? '' : " to {$movement->toStore->name}"),
        };
    }
}
