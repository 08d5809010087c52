<?php

declare(strict_types=1);

namespace App\Ledger\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Scope;

/**
 * What a check was held to and what followed from it, on its day.
 *
 * @property int $operation_number
 * @property int $position
 * @property string $kit_id
 * @property string $standing
 * @property string $design
 * @property string $list_title
 * @property string $list_edition
 * @property bool $list_confirmed
 * @property ExpiryPolicy $expiry
 * @property Scope $scope
 * @property string $next_check
 * @property int $margin_days
 * @property Verdict $verdict
 * @property int $mass_g
 * @property int|null $max_mass_g
 * @property string|null $seal_found
 */
final class Check extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'operation_number';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['verdict' => Verdict::class, 'scope' => Scope::class, 'expiry' => ExpiryPolicy::class];
    }
}
