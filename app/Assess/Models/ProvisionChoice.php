<?php

declare(strict_types=1);

namespace App\Assess\Models;

use App\Designs\Models\Design;
use App\Lists\Models\KitList;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Which list a kit of a size, or a module for a risk, keeps, and of which design a new one is made.
 *
 * @property string $wanted
 * @property string $list_id
 * @property string|null $design_id
 * @property KitList $list
 * @property Design|null $design
 */
final class ProvisionChoice extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'wanted';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return BelongsTo<KitList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(KitList::class);
    }

    /** @return BelongsTo<Design, $this> */
    public function design(): BelongsTo
    {
        return $this->belongsTo(Design::class);
    }
}
