<?php

declare(strict_types=1);

namespace App\Kits;

use App\Checks\ReadChecks;
use App\Kits\Http\HistoryEntry;
use App\Kits\Http\HistoryResource;
use App\Kits\Http\MovementResource;
use App\Kits\Models\Kit;
use App\Ledger\LotMovement;
use App\Ledger\Models\KitChange;
use App\Ledger\Models\Movement;
use App\Ledger\Models\Operation;
use App\Ledger\Models\Preparation;
use App\Ledger\Models\Seal;
use App\Ledger\Models\Weighing;
use App\Ledger\PieceCondition;
use Illuminate\Support\Facades\DB;

/** What was done to a kit, newest first: every operation, by whom, when and why, with names as they read on that day. */
final class ReadHistory
{
    private const PAGE = 40;

    public function __construct(private readonly ReadChecks $checks)
    {
    }

    /** What can be asked for alone. */
    public const ONLY = [
        'checks' => ['full_check', 'quick_check', 'hand_back'],
        'contents' => ['restock', 'use', 'hand_back', 'equip', 'build', 'prepare', 'move', 'transfer', 'dispose', 'module_in', 'module_out'],
        'seals' => ['seal_set', 'seal_broken'],
        'changes' => ['change', 'retire'],
    ];

    /**
     * @param  int|null  $before  only operations below this number
     * @param  string|null  $only  one of ONLY; null: all
     */
    public function __invoke(Kit $kit, ?int $before, ?string $only = null): HistoryResource
    {
        $numbers = DB::table('operation_kits')
            ->where('kit_id', $kit->id)
            ->when($before !== null, fn ($query) => $query->where('operation_number', '<', $before))
            ->when($only !== null, fn ($query) => $query->join('operations', 'operations.number', '=', 'operation_number')
                ->whereIn('operations.kind', self::ONLY[$only] ?? []))
            ->orderByDesc('operation_number')
            ->limit(self::PAGE + 1)
            ->pluck('operation_number')
            ->all();
        $page = array_slice($numbers, 0, self::PAGE);
        $ofKit = static fn ($query) => $query->where(fn ($ends) => $ends->where('from_kit_id', $kit->id)->orWhere('to_kit_id', $kit->id));
        $operations = Operation::query()
            ->whereIn('number', $page)
            ->with([
                'check',
                'movements' => $ofKit,
                'seals' => fn ($query) => $query->where('kit_id', $kit->id),
                'changes' => fn ($query) => $query->where('kit_id', $kit->id),
                'preparations' => fn ($query) => $query->where('kit_id', $kit->id),
                'weighings' => fn ($query) => $query->where('kit_id', $kit->id),
            ])
            ->orderByDesc('done_at')
            ->orderByDesc('number')
            ->get();
        $stores = DB::table('operation_stores')
            ->whereIn('operation_number', $page)
            ->get(['operation_number', 'store_id', 'name'])
            ->mapWithKeys(static fn (object $store): array => ["{$store->operation_number} {$store->store_id}" => $store->name])
            ->all();

        return new HistoryResource(
            $kit->code,
            $kit->name,
            array_values(
                $operations
                    ->map(
                        fn (Operation $operation): HistoryEntry => new HistoryEntry(
                            $operation->done_at.'Z',
                            $operation->number,
                            $operation->kind->value,
                            $this->title($operation),
                            (string) $operation->user_name,
                            $this->notes($operation),
                            $operation->kind->isCheck() ? $this->checks->ref($operation) : null,
                            array_values(
                                $operation->movements
                                    ->map(
                                        fn (Movement $movement): MovementResource => new MovementResource(
                                            $movement->item_code,
                                            $movement->item_name,
                                            $movement->lot_number,
                                            $movement->quantity,
                                            self::text($kit, $movement, $stores),
                                        ),
                                    )
                                    ->all(),
                            ),
                        ),
                    )
                    ->all(),
            ),
            count($numbers) > self::PAGE ? (int) end($page) : null,
        );
    }

    /** @return iterable<list<string|int|null>> all of it, for a sheet: a row for each movement, or for the operation where nothing moved */
    public function sheet(Kit $kit, ?string $only): iterable
    {
        for ($before = null, $isMore = true; $isMore; $isMore = $before !== null) {
            $history = $this($kit, $before, $only);
            foreach ($history->entries as $entry) {
                $begin = [$entry->number, $entry->at, $entry->title, $entry->by, implode('; ', $entry->notes)];
                foreach ($entry->movements === [] ? [null] : $entry->movements as $moved) {
                    yield [...$begin, $moved?->item, $moved?->name, $moved?->lot, $moved?->quantity, $moved?->text];
                }
            }
            $before = $history->before;
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['operation', 'at', 'what', 'by', 'notes', 'item', 'name', 'lot', 'pieces', 'movement'];
    }

    private function title(Operation $operation): string
    {
        $title = $operation->kind->kind()->title();

        return match ($operation->check?->standing) {
            'superseded' => "{$title}, superseded by a later one",
            'disputed' => "{$title}, in dispute with another one",
            'history' => "{$title}, arrived late",
            default => $title,
        };
    }

    /** @return list<string> */
    private function notes(Operation $operation): array
    {
        return [
            ...$operation->seals
                ->map(
                    static fn (Seal $seal): string => $seal->event === 'set'
                        ? "Sealed with {$seal->seal_number}"
                        : "Seal {$seal->seal_number} broken: {$seal->reason}",
                )
                ->all(),
            ...$operation->changes->map(self::change(...))->filter()->all(),
            ...$operation->weighings->map(static fn (Weighing $one): string => "Weighed {$one->weighed_g} g, calculated {$one->computed_g} g".
                ($one->because === null ? '' : ": {$one->because}"))->all(),
            ...$operation->preparations->map(static fn (Preparation $one): string => ($one->is_done ? 'Prepared' : 'Not prepared').
                ": {$one->item_name}, {$one->pocket}: {$one->task}")->all(),
        ];
    }

    private static function change(KitChange $change): string
    {
        $was = $change->was_name ?? $change->was;
        $becomes = $change->becomes_name ?? $change->becomes;

        return match ($change->field) {
            'place' => $was === null ? "At {$becomes}" : "From {$was} to {$becomes}",
            'edition' => $was === null ? "Of the design {$becomes}" : "{$becomes} instead of {$was}",
            'configuration' => 'Set to '.($becomes ?? 'no configuration'),
            'module' => $was === null ? "{$becomes}" : "{$was} removed",
            'parent' => $was === null ? "Put into {$becomes}" : "Removed from {$was}",
            'slot' => $was === null ? "In the slot {$becomes}" : '',
            'name' => $was === null ? '' : "Name: {$becomes} instead of {$was}",
            'code' => $was === null ? '' : "Code: {$becomes} instead of {$was}",
            'scope' => $was === null ? '' : 'Scope of practice: '.str_replace('_', ' ', (string) $becomes).' instead of '.str_replace('_', ' ', $was),
            default => 'Taken out of service'.($change->becomes_name === null ? '' : ": {$change->becomes_name}"),
        };
    }

    /** @param  array<string, string>  $stores  names on that day, by operation and store */
    private static function text(Kit $kit, Movement $movement, array $stores): string
    {
        $came = $movement->to_kit_id === $kit->id;
        $went = $movement->from_kit_id === $kit->id;
        $store = $stores["{$movement->operation_number} ".($movement->from_store_id ?? $movement->to_store_id)] ?? null;
        if ($came && $went && in_array($movement->reason, LotMovement::USES, true)) {
            return "opened in {$movement->to_pocket}";
        }
        if ($came && $went) {
            return $movement->from_condition !== $movement->to_condition
                ? 'found '.PieceCondition::inWords((string) $movement->to_condition).
                    ', recorded as '.PieceCondition::inWords((string) $movement->from_condition)
                : "found in {$movement->to_pocket}, recorded in {$movement->from_pocket}";
        }
        if ($came) {
            return match ($movement->reason) {
                'counted' => "found more than recorded, {$movement->to_pocket}",
                default => "put into {$movement->to_pocket}".($store === null ? '' : ", from {$store}"),
            };
        }

        return match ($movement->reason) {
            'counted' => "not found, recorded in {$movement->from_pocket}",
            'used' => "used from {$movement->from_pocket}",
            'training' => "used for training, from {$movement->from_pocket}",
            'given' => "given away, from {$movement->from_pocket}",
            'lost' => "lost, from {$movement->from_pocket}",
            'discarded' => "disposed of, from {$movement->from_pocket}, ".PieceCondition::inWords((string) $movement->from_condition),
            default => "removed from {$movement->from_pocket}".($store === null ? '' : " to {$store}"),
        };
    }
}
