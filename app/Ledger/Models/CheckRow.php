<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What was counted of one lot in one condition in one pocket, beside what was on record.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $pocket_id
 * @property string $pocket
 * @property string $lot_id
 * @property string $item_code
 * @property string $item_name
 * @property string|null $lot_number
 * @property string|null $expires
 * @property string $condition as PieceCondition writes it
 * @property int $recorded
 * @property int $counted
 * @property int $became
 * @property bool $in_doubt
 */
final class CheckRow extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];
}
