<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A side of the kit as it lies open: lid, main, outside.
 *
 * @property string $id
 * @property string $design_id
 * @property string $name
 * @property int $position
 * @property Collection<int, Pocket> $pockets
 */
final class Leaf extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'leaves';

    protected $guarded = [];

    /** @return HasMany<Pocket, $this> */
    public function pockets(): HasMany
    {
        return $this->hasMany(Pocket::class)->orderBy('row')->orderBy('column');
    }
}
