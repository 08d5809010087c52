<?php

declare(strict_types=1);

namespace App\Kits\Models;

use App\Accounts\Models\User;
use App\Designs\Models\DesignEdition;
use App\Kits\KitIsRetired;
use App\Stock\Models\Holding;
use App\Support\TeachesSpelling;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Kit\Scope;

/**
 * One physical bag of a design: a kit by itself, or a module in another.
 *
 * @property string $id
 * @property string $code
 * @property string $name
 * @property string $design_edition_id
 * @property string|null $configuration_id
 * @property string|null $parent_kit_id
 * @property string|null $slot_id
 * @property string $place_id
 * @property Scope $scope
 * @property string|null $responsible_id
 * @property string|null $deputy_id
 * @property Seal $seal
 * @property string|null $seal_number
 * @property string|null $seal_broken_on
 * @property string|null $seal_broken_reason
 * @property string|null $used_on
 * @property string|null $last_full_on
 * @property string|null $last_quick_on
 * @property int|null $disputed_by
 * @property string|null $seal_doubt  the visit in which a wrong number was read on its seal
 * @property string|null $seal_doubted_on
 * @property int $open_doubts  entries of which nobody knows whether they came before a full check
 * @property string|null $recheck_on  since when pieces are in it that no check has counted
 * @property int $last_operation
 * @property string|null $last_done_at
 * @property string|null $retired_on
 * @property string|null $build_id while it is built, and everything may be out of it
 * @property int $not_staged items that lie in it and are not staged
 * @property int $open_reports what was reported used of it, and waits
 * @property Collection<int, Kit> $modules
 * @property Kit|null $parent
 * @property DesignEdition $edition
 * @property Place $place
 * @property User|null $responsible
 * @property User|null $deputy
 * @property KitState|null $state
 * @property Collection<int, Holding> $holdings
 * @property Collection<int, Event> $events
 * @property Collection<int, KitFinding> $findings
 */
final class Kit extends Model
{
    use HasUlids;
    use TeachesSpelling;

    protected $guarded = [];

    /** By the code on its label, also by one that it had before; null where no kit has or had it. */
    public static function coded(string $code): ?self
    {
        return self::query()->where('code', $code)->first()
            ?? self::query()->whereIn('id', DB::table('former_codes')->where('code', $code)->select('kit_id'))->first();
    }

    /**
     * An old label leads to the kit that had its code.
     *
     * @param  mixed  $value
     * @param  string|null  $field
     */
    public function resolveRouteBinding($value, $field = null): ?self
    {
        return ($field ?? 'code') === 'code' && is_string($value) ? self::coded($value) : self::query()->where((string) $field, $value)->first();
    }

    /** Held for this transaction with the modules in it, as they are now. */
    public static function locked(string $id): self
    {
        $kit = self::query()->where('id', $id)->with('place')->lockForUpdate()->firstOrFail();
        $kit->setRelation('modules', $kit->modules()->with('place')->lockForUpdate()->get());

        return $kit;
    }

    /** @return non-empty-list<Kit> it and the modules in it: what is recorded of one is recorded beside the others */
    public function whole(): array
    {
        return [$this, ...array_values($this->modules->all())];
    }

    /** @return list<Kit> the others of the whole */
    public function besides(self $kit): array
    {
        return array_values(array_filter($this->whole(), static fn (self $one): bool => $one->id !== $kit->id));
    }

    /**
     * @param  list<string>  $pockets  of modules with the module's id and a dot before it
     * @return list<Kit> the modules in it that those pockets are in
     */
    public function modulesAt(array $pockets): array
    {
        $ids = array_filter(array_map(static fn (string $pocket): string => strtolower((string) strstr($pocket, '.', true)), $pockets));

        return array_values($this->modules->whereIn('id', $ids)->all());
    }

    /**
     * @param  list<string>  $ids
     * @return list<string> those that were asked for, with the kits that they are modules in
     */
    public static function withParents(array $ids): array
    {
        $parents = [];
        foreach (array_chunk($ids, 1000) as $some) {
            array_push($parents, ...array_map(
                strval(...),
                self::query()->whereIn('id', $some)->whereNotNull('parent_kit_id')->pluck('parent_kit_id')->all(),
            ));
        }

        return array_values(array_unique([...$ids, ...$parents]));
    }

    /** @return Builder<self> in service, and not a module in another */
    public static function byThemselves(): Builder
    {
        return self::query()->where('kits.retired_on', null)->where('kits.parent_kit_id', null);
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

    /** @return BelongsTo<DesignEdition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(DesignEdition::class, 'design_edition_id');
    }

    /** @return BelongsTo<Kit, $this> the kit that it is a module in */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(self::class, 'parent_kit_id');
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }

    /** @return BelongsTo<User, $this> who answers for it */
    public function responsible(): BelongsTo
    {
        return $this->belongsTo(User::class, 'responsible_id');
    }

    /** @return BelongsTo<User, $this> who does while they are away */
    public function deputy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'deputy_id');
    }

    /** @return HasOne<KitState, $this> */
    public function state(): HasOne
    {
        return $this->hasOne(KitState::class);
    }

    /** @return HasMany<Kit, $this> the modules in it; out of service only where it is itself */
    public function modules(): HasMany
    {
        return $this->hasMany(self::class, 'parent_kit_id')->orderBy('code');
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

    /** Whether that is the number of the seal on record, as somebody read it; spaces and capitals aside. */
    public function isSealedWith(?string $found): bool
    {
        $plain = static fn (?string $number): string => mb_strtoupper((string) preg_replace('/\s+/u', '', (string) $number));

        return $plain($found) !== '' && $plain($found) === $plain($this->seal_number);
    }
}
