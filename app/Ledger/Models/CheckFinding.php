<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Severity;

/**
 * What a check found, as facts.
 *
 * @property int $operation_number
 * @property int $position
 * @property FindingKind $kind
 * @property Severity $severity
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
final class CheckFinding extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => FindingKind::class, 'severity' => Severity::class];
    }
}
