<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Provision\Scheme;

/**
 * What can happen at a site, to how many people, how far from help; and what follows from it.
 *
 * @property string $id
 * @property string $title
 * @property Scheme $scheme
 * @property string|null $follows_id
 * @property string $started_by_id
 * @property string $started_on
 * @property string|null $chosen
 * @property string|null $signed
 * @property string|null $signed_by_id
 * @property string|null $signed_on
 * @property string|null $review_on
 * @property Assessment|null $follows
 * @property User $startedBy
 * @property Collection<int, AssessmentArea> $areas
 * @property Collection<int, PlanTask> $tasks
 */
final class Assessment extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scheme' => Scheme::class];
    }

    /** @return BelongsTo<Assessment, $this> */
    public function follows(): BelongsTo
    {
        return $this->belongsTo(Assessment::class);
    }

    /** @return BelongsTo<User, $this> */
    public function startedBy(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<AssessmentArea, $this> */
    public function areas(): HasMany
    {
        return $this->hasMany(AssessmentArea::class)->orderBy('position');
    }

    /** @return HasMany<PlanTask, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(PlanTask::class)->orderBy('position');
    }
}
