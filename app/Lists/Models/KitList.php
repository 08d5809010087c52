<?php

declare(strict_types=1);

namespace App\Lists\Models;

use App\Accounts\Models\User;
use App\Designs\Models\Design;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A list that kits are held to, in one edition and size.
 *
 * @property string $id
 * @property string $code
 * @property string $title
 * @property string|null $size
 * @property string $edition
 * @property string $basis
 * @property string $origin
 * @property Carbon|null $confirmed_at
 * @property string|null $confirmed_by_id
 * @property string|null $no_critical_because
 * @property string $kind
 * @property string|null $supersedes_id
 * @property string|null $copied_from_id
 * @property int $revision
 * @property int|null $made_for_people
 * @property int|null $made_for_days
 * @property KitList|null $supersedes
 * @property KitList|null $copiedFrom
 * @property Collection<int, LineConfirmation> $confirmations
 * @property Collection<int, Line> $lines
 * @property Collection<int, ListExclusion> $exclusions
 * @property Collection<int, Design> $designs
 * @property User|null $confirmedBy
 */
final class KitList extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'lists';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'confirmed_at' => 'datetime',
        ];
    }

    /** "Table 1, medium", or "Workplace kits, class A". */
    public function name(): string
    {
        return self::named($this->title, $this->size);
    }

    public static function named(string $title, ?string $size): string
    {
        $letter = preg_match('/^class-([a-z])$/', (string) $size, $found) === 1 ? $found[1] : null;

        return $title.match (true) {
            $letter !== null => ', class '.strtoupper($letter),
            $size === null => '',
            default => ", {$size}",
        };
    }

    /** @return array{people: int, days: int}|null for how many people and days its quantities are meant */
    public function madeFor(): ?array
    {
        return $this->made_for_people === null || $this->made_for_days === null
            ? null
            : ['people' => $this->made_for_people, 'days' => $this->made_for_days];
    }

    /** @return HasMany<Line, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(Line::class, 'list_id')->orderBy('position');
    }

    /** @return HasMany<ListExclusion, $this> */
    public function exclusions(): HasMany
    {
        return $this->hasMany(ListExclusion::class, 'list_id');
    }

    /** @return BelongsToMany<Design, $this> whose latest edition keeps it */
    public function designs(): BelongsToMany
    {
        $designs = $this->belongsToMany(Design::class, 'design_editions', 'list_id', 'design_id');
        $designs->whereNotNull('design_editions.published_at')
            ->whereNotExists(fn ($later) => $later->from('design_editions as later')->whereColumn('later.design_id', 'design_editions.design_id')
                ->whereNotNull('later.published_at')->whereColumn('later.number', '>', 'design_editions.number'))
            ->orderBy('designs.name');

        return $designs;
    }

    /** @return HasMany<LineConfirmation, $this> */
    public function confirmations(): HasMany
    {
        return $this->hasMany(LineConfirmation::class, 'list_id');
    }

    /** @return BelongsTo<KitList, $this> */
    public function supersedes(): BelongsTo
    {
        return $this->belongsTo(KitList::class);
    }

    /** @return BelongsTo<KitList, $this> */
    public function copiedFrom(): BelongsTo
    {
        return $this->belongsTo(KitList::class);
    }

    /** @return BelongsTo<User, $this> */
    public function confirmedBy(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
