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
use Sarcina\Core\Packing\Wrappers;

/**
 * One edition of a design: an edition of a list and additions, limits and intervals, compartments and the place of each line.
 * Once it is published the database refuses to change it.
 *
 * @property string $id
 * @property string $design_id
 * @property int $number
 * @property string $list_id
 * @property int|null $empty_mass_g
 * @property int|null $max_mass_g
 * @property ExpiryPolicy $expiry
 * @property int $margin_days
 * @property int $grace_days
 * @property int|null $not_ready_after_days
 * @property string|null $every_unit
 * @property int|null $every_count
 * @property bool $before_events
 * @property bool $after_use
 * @property bool $sealed
 * @property int|null $max_volume_ml
 * @property int|null $max_cost
 * @property bool $latex_free
 * @property Wrappers|null $wrappers
 * @property string|null $published_at
 * @property Design $design
 * @property KitList $list
 * @property Collection<int, DesignModule> $modules
 * @property Collection<int, Line> $additions
 * @property Collection<int, DesignSeason> $seasons
 */
final class DesignEdition extends Model
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
            'latex_free' => 'boolean',
            'wrappers' => Wrappers::class,
        ];
    }

    /** "Workplace box, edition 2" */
    public function name(): string
    {
        return "{$this->design->name}, edition {$this->number}";
    }

    /** @return BelongsTo<Design, $this> */
    public function design(): BelongsTo
    {
        return $this->belongsTo(Design::class);
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

    /** @return HasMany<DesignModule, $this> */
    public function modules(): HasMany
    {
        return $this->hasMany(DesignModule::class)->orderBy('module');
    }

    /** @return HasMany<DesignSeason, $this> */
    public function seasons(): HasMany
    {
        return $this->hasMany(DesignSeason::class)->orderBy('month_day');
    }
}
