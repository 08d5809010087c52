<?php

declare(strict_types=1);

namespace App\Accounts\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * Whose kits these are.
 *
 * @property string $id
 * @property string $name
 * @property string $time_zone
 * @property string $length_unit
 * @property string $mass_unit
 * @property string $volume_unit
 * @property string $currency
 * @property int $people_kept_days
 * @property bool $asks_staging whether items put in unprepared are an action due
 * @property bool $factor_required
 */
final class Organisation extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['factor_required' => 'boolean', 'asks_staging' => 'boolean'];
    }

    public static function current(): self
    {
        return self::query()->firstOrFail();
    }

    /** Today where the kits are. */
    public function today(): string
    {
        return $this->dayOf(now());
    }

    /** Finds the site's day of an instant as it is on record, in UTC. */
    public function dayOfInstant(string $instant): string
    {
        return $this->dayOf(\Carbon\CarbonImmutable::parse($instant, 'UTC'));
    }

    /** The day that it was there at that moment. */
    public function dayOf(CarbonInterface $at): string
    {
        return $at->copy()->setTimezone($this->time_zone)->toDateString();
    }
}
