<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Lists\Rank;

/**
 * How far a line was met at a check.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $code
 * @property string $need
 * @property string|null $pocket
 * @property Rank $rank
 * @property string $required
 * @property string $effective
 * @property int|null $reserve
 * @property string $short
 */
final class CheckLine extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['rank' => Rank::class];
    }
}
