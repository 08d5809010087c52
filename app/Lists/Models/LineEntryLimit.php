<?php

declare(strict_types=1);

namespace App\Lists\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A minimum or maximum measure of an entry.
 *
 * @property int $id
 * @property int $line_entry_id
 * @property string $measure
 * @property string $quantity
 * @property bool $is_maximum
 */
final class LineEntryLimit extends Model
{
    public $timestamps = false;

    protected $table = 'line_entry_limits';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_maximum' => 'boolean'];
    }
}
