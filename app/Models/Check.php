<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One check of a kit, as signed. Never changed.
 *
 * @property int $number
 * @property string $id
 * @property string $kit_id
 * @property string $kind
 * @property string $started_at
 * @property string $finished_at
 * @property string $day
 * @property string $user_id
 * @property string $signed
 * @property string $verdict
 * @property int $mass_g
 * @property string $next_check
 * @property string|null $seal_found
 * @property string|null $seal_set
 * @property string|null $seal_reason
 * @property string|null $note
 * @property string $hash
 * @property Kit $kit
 * @property User $user
 * @property Collection<int, CheckRow> $rows
 * @property Collection<int, CheckLine> $lines
 * @property Collection<int, CheckFinding> $findings
 */
final class Check extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'number';

    public $incrementing = false;

    protected $guarded = [];

    /** @return BelongsTo<Kit, $this> */
    public function kit(): BelongsTo
    {
        return $this->belongsTo(Kit::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<CheckRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(CheckRow::class, 'check_number')->orderBy('position');
    }

    /** @return HasMany<CheckLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(CheckLine::class, 'check_number')->orderBy('position');
    }

    /** @return HasMany<CheckFinding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(CheckFinding::class, 'check_number')->orderBy('position');
    }
}
