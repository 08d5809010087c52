<?php

declare(strict_types=1);

namespace App\Lists\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Sarcina\Core\Lists\Rank;

/**
 * One line of a list, or one that a design adds to its list.
 *
 * @property string $id
 * @property string|null $list_id
 * @property string|null $design_edition_id
 * @property string $code
 * @property int $position
 * @property string $need
 * @property Rank $rank
 * @property int|null $quantity
 * @property string|null $total_measure
 * @property string|null $total_quantity
 * @property string|null $reason
 * @property bool $anyone_may_use scope of practice is not looked at
 * @property string $per what its quantity grows with: trip (nothing), people or person_days
 * @property Collection<int, LineEntry> $entries
 */
final class Line extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'lines';

    protected $guarded = [];

    protected $attributes = ['anyone_may_use' => false, 'per' => 'trip'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['rank' => Rank::class, 'anyone_may_use' => 'boolean'];
    }

    /** @return HasMany<LineEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(LineEntry::class)->orderBy('position');
    }
}
