<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Check\Severity;

/**
 * One reason of a kit's verdict, in words.
 *
 * @property int $id
 * @property string $kit_id
 * @property int $position
 * @property Severity $severity
 * @property string $text
 */
final class KitReason extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['severity' => Severity::class];
    }
}
