<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use App\Ledger\OperationKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One thing that somebody did, as it is on record. Rows are never changed; a correction is a new one.
 *
 * @property int $number
 * @property int $epoch
 * @property string $id
 * @property OperationKind $kind
 * @property string|null $user_id
 * @property string|null $user_name
 * @property string $begun_at
 * @property string $done_at
 * @property string $received_at
 * @property string $day
 * @property string|null $signed
 * @property string|null $note
 * @property string|null $signed_because
 * @property string $key_id
 * @property string $hash
 * @property Check|null $check
 * @property Collection<int, OperationKit> $kits
 * @property Collection<int, Movement> $movements
 * @property Collection<int, Seal> $seals
 * @property Collection<int, KitChange> $changes
 * @property Collection<int, CheckRow> $rows
 * @property Collection<int, CheckLine> $lines
 * @property Collection<int, CheckFinding> $findings
 * @property Collection<int, Preparation> $preparations
 * @property Collection<int, Weighing> $weighings
 */
final class Operation extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'number';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => OperationKind::class];
    }

    /** @return HasOne<Check, $this> of the kit that was checked; those of its modules come after it */
    public function check(): HasOne
    {
        $first = $this->hasOne(Check::class, 'operation_number');
        $first->where('position', 0);

        return $first;
    }

    /** @return HasMany<OperationKit, $this> */
    public function kits(): HasMany
    {
        return $this->hasMany(OperationKit::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<Seal, $this> */
    public function seals(): HasMany
    {
        return $this->hasMany(Seal::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<KitChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(KitChange::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<Preparation, $this> */
    public function preparations(): HasMany
    {
        return $this->hasMany(Preparation::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<Weighing, $this> */
    public function weighings(): HasMany
    {
        return $this->hasMany(Weighing::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<CheckRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(CheckRow::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<CheckLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(CheckLine::class, 'operation_number')->orderBy('position');
    }

    /** @return HasMany<CheckFinding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(CheckFinding::class, 'operation_number')->orderBy('position');
    }
}
