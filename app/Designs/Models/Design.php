<?php

declare(strict_types=1);

namespace App\Designs\Models;

use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Kit\ExpiryPolicy;

/**
 * A packing plan: a list and additions, leaves and pockets, and the pocket for each line.
 *
 * @property string $id
 * @property string $code
 * @property string $name
 * @property string $list_id
 * @property int $empty_mass_g
 * @property int|null $max_mass_g
 * @property ExpiryPolicy $expiry
 * @property int $margin_days
 * @property int $grace_days
 * @property string|null $every_unit
 * @property int|null $every_count
 * @property bool $before_events
 * @property bool $after_use
 * @property bool $sealed
 * @property string|null $provides
 * @property int $revision
 * @property Collection<int, DesignModule> $modules
 * @property KitList $list
 * @property Collection<int, Line> $additions
 * @property Collection<int, Leaf> $leaves
 * @property Collection<int, LineHome> $homes
 * @property Collection<int, DesignSeason> $seasons
 */
final class Design extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'expiry' => ExpiryPolicy::class,
            'before_events' => 'boolean',
            'after_use' => 'boolean',
            'sealed' => 'boolean',
        ];
    }

    /** @return BelongsTo<KitList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(KitList::class);
    }

    /** @return HasMany<Line, $this> */
    public function additions(): HasMany
    {
        return $this->hasMany(Line::class)->orderBy('position');
    }

    /** @return HasMany<Leaf, $this> */
    public function leaves(): HasMany
    {
        return $this->hasMany(Leaf::class)->orderBy('position');
    }

    /** @return HasMany<LineHome, $this> */
    public function homes(): HasMany
    {
        return $this->hasMany(LineHome::class)->orderBy('position');
    }

    /** @return HasMany<DesignModule, $this> */
    public function modules(): HasMany
    {
        return $this->hasMany(DesignModule::class);
    }

    /** @return HasMany<DesignSeason, $this> */
    public function seasons(): HasMany
    {
        return $this->hasMany(DesignSeason::class);
    }
}
