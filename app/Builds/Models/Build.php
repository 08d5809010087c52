<?php

declare(strict_types=1);

namespace App\Builds\Models;

use App\Accounts\Models\User;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A kit that somebody packs anew, from the moment on which everything comes out of it. Until it has ended the kit is not ready.
 *
 * @property string $id
 * @property string $kit_id
 * @property string $begun_by_id
 * @property string $begun_at
 * @property string|null $left_by_id who handed it over half done
 * @property string|null $left_at
 * @property string|null $left_note
 * @property int|null $left_version of the form in which the page keeps its work
 * @property string|null $left_work as the page keeps it
 * @property int $pockets_packed
 * @property int $pockets
 * @property string|null $taken_by_id who went on with it
 * @property string|null $taken_at
 * @property string|null $ended_by_id
 * @property string|null $ended_at
 * @property string|null $outcome
 * @property User $begunBy
 * @property User|null $leftBy
 * @property User|null $takenBy
 */
final class Build extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['left_version' => 'integer', 'pockets_packed' => 'integer', 'pockets' => 'integer'];
    }

    /** @return BelongsTo<User, $this> */
    public function begunBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'begun_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function leftBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'left_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function takenBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'taken_by_id');
    }
}
