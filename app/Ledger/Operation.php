<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Ledger\Parts\PartRow;
use App\Stock\Models\Store;
use Carbon\CarbonInterface;

/** One thing that somebody did, whole, as it is to be recorded. */
final readonly class Operation
{
    /**
     * @param  string  $id  a ULID made by whoever does it: sent twice, it is recorded once
     * @param  User|null  $by  null for a device, and for who operates the instance
     * @param  CarbonInterface  $doneAt  the doer's clock, corrected; the server's stands in `receivedAt`
     * @param  string  $day  of the site, of `doneAt`
     * @param  list<Kit>  $kits
     * @param  list<Store>  $stores
     * @param  list<LotMovement>  $movements
     * @param  list<PartRow>  $parts
     * @param  CarbonInterface|null  $clockCheckedAt  when the doer's clock was last compared with the server's
     * @param  string|null  $signedBecause  why it is signed by another name than the account's
     */
    public function __construct(
        public string $id,
        public OperationKind $kind,
        public ?User $by,
        public CarbonInterface $begunAt,
        public CarbonInterface $doneAt,
        public CarbonInterface $receivedAt,
        public string $day,
        public ?Base $base = null,
        public array $kits = [],
        public array $stores = [],
        public array $movements = [],
        public array $parts = [],
        public ?string $signed = null,
        public ?string $note = null,
        public Names $names = new Names,
        public ?CarbonInterface $clockCheckedAt = null,
        public ?string $signedBecause = null,
    ) {
    }

    /** An operation that is done and received at one time. */
    public static function now(string $id, OperationKind $kind, ?User $by, CarbonInterface $at, string $day): self
    {
        return new self($id, $kind, $by, $at, $at, $at, $day, clockCheckedAt: $at);
    }

    /**
     * @param  list<Kit>  $kits
     * @param  list<Store>  $stores
     */
    public function of(array $kits, array $stores = []): self
    {
        return new self(
            $this->id, $this->kind, $this->by, $this->begunAt, $this->doneAt, $this->receivedAt, $this->day, $this->base,
            $kits, $stores, $this->movements, $this->parts, $this->signed, $this->note, $this->names, $this->clockCheckedAt,
            $this->signedBecause,
        );
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  list<PartRow>  $parts
     */
    public function with(array $movements, array $parts = []): self
    {
        return new self(
            $this->id, $this->kind, $this->by, $this->begunAt, $this->doneAt, $this->receivedAt, $this->day, $this->base,
            $this->kits, $this->stores, $movements, $parts, $this->signed, $this->note, $this->names, $this->clockCheckedAt,
            $this->signedBecause,
        );
    }

    /** @param  string|null  $because  why it is signed by another name than the account's */
    public function saying(?string $signed, ?string $note, ?string $because = null): self
    {
        return new self(
            $this->id, $this->kind, $this->by, $this->begunAt, $this->doneAt, $this->receivedAt, $this->day, $this->base,
            $this->kits, $this->stores, $this->movements, $this->parts, $signed, $note, $this->names, $this->clockCheckedAt, $because,
        );
    }

    /** Says whether somebody reached into the kit in earnest. */
    public function usesFrom(Kit $kit): bool
    {
        foreach ($this->movements as $movement) {
            if ($movement->isUse() && $movement->from?->kitId === $kit->id && ! $movement->from->isUnaccounted()) {
                return true;
            }
        }

        return false;
    }

    /** Says whether pieces came into the kit that no check has counted, or everything was put back after a repack. */
    public function asksCheckOf(Kit $kit): bool
    {
        foreach ($this->movements as $movement) {
            if ($movement->from?->isUnaccounted() === true && $movement->to?->kitId === $kit->id && ! $movement->to->isUnaccounted()) {
                return true;
            }
        }

        return $this->kind === OperationKind::PutBack;
    }

    /** What is recorded of a module is recorded of the kit that it is in: else that kit would be shown as it was. */
    public function refusePart(): void
    {
        $ids = array_map(static fn (Kit $kit): string => $kit->id, $this->kits);
        foreach ($this->kits as $kit) {
            if ($kit->parent_kit_id !== null && ! in_array($kit->parent_kit_id, $ids, true)) {
                throw new DoesNotBelong("What is recorded of the module {$kit->code} names the kit that it is in too.");
            }
        }
    }
}
