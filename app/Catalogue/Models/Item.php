<?php

declare(strict_types=1);

namespace App\Catalogue\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Kit\Scope;

/**
 * A kind of thing that kits hold.
 *
 * @property string $id
 * @property string $code
 * @property string $name
 * @property string $class
 * @property string $count_unit
 * @property bool $dated
 * @property bool $sterile
 * @property int $mass_g
 * @property Scope $scope
 * @property bool $keeps_as_reserve
 * @property bool $only_for_trained only at hand for who is trained for it
 * @property string $purpose
 * @property string|null $caution
 * @property string|null $superseded_by_id
 * @property int|null $storage_min_c
 * @property int|null $storage_max_c
 * @property int|null $opened_life
 * @property 'days'|'weeks'|'months'|null $opened_life_unit
 * @property string|null $allergy
 * @property 'contact'|'absorb'|'hold'|null $layer of a dressing: it touches the wound, soaks, or holds the others
 * @property int|null $start_minutes
 * @property string|null $staging what is done to it before it is packed
 * @property bool $comes_back asked for when the kit is handed back
 * @property bool $trains_again used for training it goes back into stock after a look
 * @property bool $unwraps whether that takes its wrapper off
 * @property bool $keep_dry
 * @property bool $has_latex
 * @property int|null $bulk_ml what a piece takes up in a pocket
 * @property int $revision
 * @property Collection<int, Item> $standIns
 * @property Item|null $supersededBy
 * @property Collection<int, ItemMeasure> $measures
 * @property Collection<int, ItemPack> $packs
 * @property Collection<int, ItemNeed> $needs
 */
final class Item extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'scope' => Scope::class,
            'dated' => 'boolean',
            'sterile' => 'boolean',
            'keeps_as_reserve' => 'boolean',
            'only_for_trained' => 'boolean',
            'unwraps' => 'boolean', 'keep_dry' => 'boolean', 'comes_back' => 'boolean', 'trains_again' => 'boolean',
            'has_latex' => 'boolean',
        ];
    }

    /** @return HasMany<ItemMeasure, $this> */
    public function measures(): HasMany
    {
        return $this->hasMany(ItemMeasure::class);
    }

    /** @return HasMany<ItemPack, $this> */
    public function packs(): HasMany
    {
        return $this->hasMany(ItemPack::class)->orderBy('pieces');
    }

    /** @return HasMany<ItemNeed, $this> */
    public function needs(): HasMany
    {
        return $this->hasMany(ItemNeed::class);
    }

    /** @return BelongsToMany<Item, $this> what may stand in for it, first choice first */
    public function standIns(): BelongsToMany
    {
        return $this->belongsToMany(Item::class, 'item_stand_ins', 'item_id', 'stand_in_id')->withPivot('position')->orderByPivot('position');
    }

    /** @return BelongsTo<Item, $this> */
    public function supersededBy(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
