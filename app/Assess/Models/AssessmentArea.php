<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Kits\Models\Place;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Provision\Hazard;

/**
 * One area of an assessment, as it was answered.
 *
 * @property string $id
 * @property string $assessment_id
 * @property string|null $follows_id
 * @property int $position
 * @property string $name
 * @property string|null $hangs_at
 * @property int $people
 * @property Hazard $hazard
 * @property int $points
 * @property int $lone_workers
 * @property int $vehicles
 * @property bool $running_water
 * @property bool|null $has_freezer
 * @property int $children
 * @property int $minutes_to_help
 * @property string|null $note
 * @property int $revision
 * @property Collection<int, Place> $places
 * @property Assessment $assessment
 * @property Collection<int, AreaRisk> $risks
 * @property Collection<int, AreaOverride> $overrides
 * @property Collection<int, AreaChange> $changesSeen
 */
final class AssessmentArea extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['hazard' => Hazard::class, 'running_water' => 'boolean', 'has_freezer' => 'boolean'];
    }

    /** @return BelongsToMany<Place, $this> where it is; new kits hang in the first */
    public function places(): BelongsToMany
    {
        return $this->belongsToMany(Place::class, 'assessment_area_places')->withPivot('position')->orderByPivot('position');
    }

    /** @return BelongsTo<Assessment, $this> */
    public function assessment(): BelongsTo
    {
        return $this->belongsTo(Assessment::class);
    }

    /** @return HasMany<AreaRisk, $this> */
    public function risks(): HasMany
    {
        return $this->hasMany(AreaRisk::class);
    }

    /** @return HasMany<AreaOverride, $this> */
    public function overrides(): HasMany
    {
        return $this->hasMany(AreaOverride::class);
    }

    /** @return HasMany<AreaChange, $this> */
    public function changesSeen(): HasMany
    {
        return $this->hasMany(AreaChange::class)->orderBy('id');
    }
}
