<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Something that was found in a kit when it was judged last, as facts.
 *
 * @property string $kit_id
 * @property int $position
 * @property string $kind
 * @property string $severity
 * @property string|null $line
 * @property string|null $subject
 * @property string|null $item_code
 * @property string|null $lot_number
 * @property string|null $expires
 * @property string|null $good_until
 * @property string|null $pocket
 * @property int|null $quantity
 * @property string|null $detail
 */
final class KitFinding extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'kit_id';

    protected $guarded = [];
}
