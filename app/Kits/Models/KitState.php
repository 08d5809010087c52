<?php

declare(strict_types=1);

namespace App\Kits\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Check\Verdict;

/**
 * What the core last said of a kit, and through which day that holds.
 *
 * @property string $kit_id
 * @property string $code
 * @property int $walk_order
 * @property Verdict $verdict
 * @property int $mass_g
 * @property string $next_check
 * @property string|null $due_on
 * @property string|null $due_kind
 * @property string|null $due_because
 * @property string|null $overdue_from
 * @property int $band
 * @property bool $wants_restock
 * @property string $judged_for
 * @property string|null $holds_through
 * @property int $judged_version
 * @property int $needs_version
 * @property int $rests_on
 * @property int $needs_operation
 * @property bool $is_marked
 */
final class KitState extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'kit_id';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['verdict' => Verdict::class,
            'wants_restock' => 'boolean',
            'is_marked' => 'boolean',
        ];
    }
}
