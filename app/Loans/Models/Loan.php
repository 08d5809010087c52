<?php

declare(strict_types=1);

namespace App\Loans\Models;

use App\Stock\Models\Store;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Pieces of a store that another team or organisation has, or theirs that lie in it.
 *
 * @property string $id
 * @property string $way lent or borrowed
 * @property string $store_id
 * @property string $partner
 * @property string $due_on
 * @property string|null $note
 * @property string $made_on
 * @property string|null $ended_on
 * @property Store $store
 */
final class Loan extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Store, $this> */
    public function store(): BelongsTo
    {
        return $this->belongsTo(Store::class);
    }
}
