<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Somebody trained, with their qualifications and where they are posted. Private: least access, and a time after which it goes.
 *
 * @property string $id
 * @property string $name
 * @property string|null $ended_on
 * @property Collection<int, Qualification> $qualifications
 * @property Collection<int, Posting> $postings
 */
final class FirstAider extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return HasMany<Qualification, $this> */
    public function qualifications(): HasMany
    {
        return $this->hasMany(Qualification::class)->orderBy('scope', 'desc');
    }

    /** @return HasMany<Posting, $this> */
    public function postings(): HasMany
    {
        return $this->hasMany(Posting::class);
    }
}
