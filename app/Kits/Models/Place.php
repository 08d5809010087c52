<?php

declare(strict_types=1);

namespace App\Kits\Models;

use App\Support\TeachesSpelling;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Where a kit is or people walk: a site, building, floor or spot; a vehicle and a person are places too.
 *
 * @property string $id
 * @property string|null $parent_id
 * @property string $kind
 * @property string $name
 * @property string $path
 * @property int $walk_order
 * @property string|null $setting for rates of use; null: that of the place above it
 * @property string|null $retired_on
 * @property Collection<int, Kit> $kits
 */
final class Place extends Model
{
    use HasUlids;
    use TeachesSpelling;

    public $timestamps = false;

    protected $guarded = [];

    /** @return HasMany<Kit, $this> */
    public function kits(): HasMany
    {
        return $this->hasMany(Kit::class)->orderBy('code');
    }
}
