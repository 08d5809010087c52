<?php

declare(strict_types=1);

namespace App\Designs\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A packing plan that kits are made of; what it says stands in its editions.
 *
 * @property string $id
 * @property string $code
 * @property string $name
 * @property string|null $provides
 * @property string|null $serves
 * @property string|null $retired_on
 * @property Collection<int, DesignEdition> $editions
 * @property DesignEdition|null $latest
 */
final class Design extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return list<string> codes of the designs that a slot of this one may ask for */
    public static function codesBeside(?self $design): array
    {
        return array_values(array_map(strval(...), self::query()->where('retired_on', null)
            ->when($design, static fn ($all) => $all->where('id', '!=', $design?->id))->pluck('code')->all()));
    }

    /** @return HasMany<DesignEdition, $this> */
    public function editions(): HasMany
    {
        return $this->hasMany(DesignEdition::class)->orderBy('number');
    }

    /** @return HasOne<DesignEdition, $this> the published edition that new kits are made of */
    public function latest(): HasOne
    {
        return $this->hasOne(DesignEdition::class)->ofMany(['number' => 'max'], fn ($query) => $query->whereNotNull('published_at'));
    }
}
