<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What was done, or not, to an item before it was packed.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property string $pocket_id
 * @property string $pocket
 * @property string $item_code
 * @property string $item_name
 * @property string $task
 * @property bool $is_done
 */
final class Preparation extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_done' => 'boolean'];
    }
}
