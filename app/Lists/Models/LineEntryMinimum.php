<?php

declare(strict_types=1);

namespace App\Lists\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A least measure of an entry.
 *
 * @property int $id
 * @property int $line_entry_id
 * @property string $measure
 * @property string $quantity
 */
final class LineEntryMinimum extends Model
{
    public $timestamps = false;

    protected $table = 'line_entry_minima';

    protected $guarded = [];
}
