<?php

declare(strict_types=1);

namespace App\Kits\Models;

use App\Designs\Models\Design;
use App\Kits\KitIsRetired;
use App\Stock\Models\Holding;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Kit\Scope;

/**
 * One physical bag of a design.
 *
 * @property string $id
 * @property string $code
 * @property string $name
 * @property string $design_id
 * @property string $place_id
 * @property Scope $scope
 * @property Seal $seal
 * @property string|null $seal_number
 * @property string|null $seal_broken_on
 * @property string|null $seal_broken_reason
 * @property string|null $used_on
 * @property string|null $last_full_on
 * @property string|null $last_quick_on
 * @property int|null $disputed_by
 * @property int $last_operation
 * @property string|null $last_done_at
 * @property string|null $retired_on
 * @property Collection<int, KitModule> $modules
 * @property Design $design
 * @property Place $place
 * @property KitState|null $state
 * @property Collection<int, Holding> $holdings
 * @property Collection<int, Event> $events
 * @property Collection<int, KitFinding> $findings
 */
final class Kit extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** Held for this transaction, as it is now. */
    public static function locked(string $id): self
    {
        return self::query()->where('id', $id)->with('place')->lockForUpdate()->firstOrFail();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scope' => Scope::class, 'seal' => Seal::class];
    }

    /** @throws KitIsRetired */
    public function refuseRetired(): void
    {
        if ($this->retired_on !== null) {
            throw new KitIsRetired($this);
        }
    }

    /** @return BelongsTo<Design, $this> */
    public function design(): BelongsTo
    {
        return $this->belongsTo(Design::class);
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }

    /** @return HasOne<KitState, $this> */
    public function state(): HasOne
    {
        return $this->hasOne(KitState::class);
    }

    /** @return HasMany<KitModule, $this> */
    public function modules(): HasMany
    {
        return $this->hasMany(KitModule::class);
    }

    /** @return HasMany<Holding, $this> */
    public function holdings(): HasMany
    {
        return $this->hasMany(Holding::class)->orderBy('id');
    }

    /** @return HasMany<KitFinding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(KitFinding::class)->orderBy('position');
    }

    /** @return BelongsToMany<Event, $this> */
    public function events(): BelongsToMany
    {
        return $this->belongsToMany(Event::class, 'event_kits');
    }
}
