<?php

declare(strict_types=1);

namespace App\Exchange\Models;

use App\Accounts\Models\User;
use App\Exchange\Kind;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that somebody brought in: previewed as a difference, then taken whole or not at all.
 *
 * @property string $id
 * @property Kind $kind
 * @property string $format
 * @property string $file_name
 * @property string $source
 * @property string $state
 * @property int $rows
 * @property int $read
 * @property string $user_id
 * @property string $made_at
 * @property string|null $done_at
 * @property string|null $problem
 * @property User $user
 */
final class Import extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => Kind::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
