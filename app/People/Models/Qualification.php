<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Model;
use Sarcina\Core\Kit\Scope;

/**
 * What a first aider is trained to, and until when.
 *
 * @property int $id
 * @property string $first_aider_id
 * @property Scope $scope
 * @property string $title
 * @property string|null $expires_on
 */
final class Qualification extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scope' => Scope::class];
    }
}
