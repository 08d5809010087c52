<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Provision\TaskKind;

/**
 * One piece of work that carries a plan out.
 *
 * @property string $id
 * @property string $assessment_id
 * @property string|null $assessment_area_id
 * @property int $position
 * @property TaskKind $kind
 * @property string|null $kit_id
 * @property string|null $wanted
 * @property string $state
 * @property string|null $reason
 * @property string|null $user_id
 * @property string|null $due_on
 * @property string|null $closed_by_id
 * @property string|null $closed_on
 * @property Kit|null $kit
 * @property AssessmentArea|null $area
 * @property Assessment $assessment
 * @property Collection<int, PlanTaskModule> $modules
 * @property User|null $user
 * @property User|null $closedBy
 */
final class PlanTask extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => TaskKind::class];
    }

    /** @return BelongsTo<Kit, $this> */
    public function kit(): BelongsTo
    {
        return $this->belongsTo(Kit::class);
    }

    /** @return BelongsTo<AssessmentArea, $this> */
    public function area(): BelongsTo
    {
        return $this->belongsTo(AssessmentArea::class, 'assessment_area_id');
    }

    /** @return BelongsTo<Assessment, $this> */
    public function assessment(): BelongsTo
    {
        return $this->belongsTo(Assessment::class);
    }

    /** @return BelongsTo<User, $this> to whom it was given */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function closedBy(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<PlanTaskModule, $this> */
    public function modules(): HasMany
    {
        return $this->hasMany(PlanTaskModule::class);
    }
}
