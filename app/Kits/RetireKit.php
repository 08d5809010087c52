<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Stock\Models\Holding;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Kit\Condition;

/** Takes a kit out of service with its modules. Each piece goes to the store, is disposed of or lost, or stays with the kit. */
final class RetireKit
{
    public const STORE = 'store';

    public const DISPOSED = 'disposed';

    public const LOST = 'lost';

    public const WITH_KIT = 'with_kit';

    public const WAYS = [self::STORE, self::DISPOSED, self::LOST, self::WITH_KIT];

    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly NearestStore $nearest,
    ) {
    }

    /**
     * @param  array<string, string>  $where  one of WAYS by "pocket lot condition"; what is not named goes to the store where it is good
     *                                        and in date, else it is disposed of
     */
    public function __invoke(Kit $kit, string $reason, array $where, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $reason, $where, $by, $at, $day): void {
            $kit = Kit::locked($kit->id);
            $kit->refuseRetired();
            if ($kit->parent_kit_id !== null) {
                throw ValidationException::withMessages(['kit' => "{$kit->code} is a module in another kit. Remove it from there first."]);
            }
            $near = ($this->nearest)($kit);
            $store = $near === null ? null : Store::query()->where('id', $near->id)->lockForUpdate()->firstOrFail();
            $ids = array_map(static fn (Kit $one): string => $one->id, $kit->whole());
            $movements = [];
            foreach (Holding::query()->whereIn('kit_id', $ids)->with('lot')->orderBy('id')->get() as $held) {
                $movement = self::movement($held, $where, $store, $day);
                if ($movement !== null) {
                    $movements[] = $movement;
                }
            }
            $changes = array_map(static fn (Kit $one): KitChanged => new KitChanged($one->id, 'retired', null, $day, null, $reason), $kit->whole());
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::Retire, $by, $at, $day)
                    ->of($kit->whole(), $store === null ? [] : [$store])->with($movements, $changes),
            );
            foreach ($kit->whole() as $one) {
                $this->states->drop($one);
            }
        });
    }

    /** @param  array<string, string>  $where */
    private static function movement(Holding $held, array $where, ?Store $store, string $day): ?LotMovement
    {
        $isInDate = $held->lot->good_until === null || $held->lot->good_until >= $day;
        $isGood = $held->condition === Condition::Good->value && $isInDate;
        $to = $where["{$held->pocket_id} {$held->lot_id} {$held->condition}"] ?? ($isGood && $store !== null ? self::STORE : self::DISPOSED);
        if ($to === self::STORE && $store === null) {
            throw ValidationException::withMessages(['pieces' => 'There is no store to return pieces to. Choose another way for them.']);
        }
        if ($to === self::WITH_KIT) {
            return null;
        }

        return new LotMovement(
            $held->lot_id, $held->quantity, Location::pocket((string) $held->kit_id, (string) $held->pocket_id, $held->condition),
            $to === self::STORE && $store !== null ? Location::store($store->id, $held->condition) : null,
            match ($to) {
                self::STORE => 'returned',
                self::LOST => 'lost',
                default => 'discarded',
            },
        );
    }
}
