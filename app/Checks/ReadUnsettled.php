<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\Organisation;
use App\Checks\Http\UnsettledResource;
use App\Checks\Models\Unsettled;
use App\Judging\Words;
use App\Ledger\OperationKind;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** What arrived late and waits for somebody to settle it. */
final class ReadUnsettled
{
    private const MOST = 50;

    public function __construct(private readonly Organisation $organisation)
    {
    }

    /** @return list<UnsettledResource> oldest first */
    public function __invoke(?string $kitId = null): array
    {
        return $this->rows(
            Unsettled::query()
                ->with(['kit', 'user'])
                ->where('settled_at', null)
                ->when($kitId !== null, fn ($query) => $query->where('kit_id', $kitId))
                ->orderBy('id')
                ->limit(self::MOST)
                ->get(),
        );
    }

    /**
     * @param  Collection<int, Unsettled>  $unsettled
     * @return list<UnsettledResource>
     */
    public function rows(Collection $unsettled): array
    {
        return array_values(
            $unsettled
                ->map(
                    fn (Unsettled $one): UnsettledResource => new UnsettledResource(
                        $one->id,
                        $one->kit->code,
                        $one->kit->name,
                        $one->because,
                        $this->title($one),
                        self::text($one),
                        $one->operation_id,
                        $one->operation_number,
                    ),
                )
                ->all(),
        );
    }

    private function title(Unsettled $one): string
    {
        $day = Words::date($this->organisation->dayOf(CarbonImmutable::parse($one->done_at, 'UTC')));

        return OperationKind::from($one->kind)->kind()->title().", {$one->user->name}, {$day}";
    }

    private static function text(Unsettled $one): string
    {
        $what = (string) $one->subject.($one->lot_number === null ? '' : " (lot {$one->lot_number})");

        return match ($one->because) {
            'kit_retired' => "{$what} was out of service when this was done. Nothing of it is on record; say what became of it",
            'not_there' => "{$what}: {$one->recorded} of {$one->sent} recorded, because no more were on record there".
                ($one->pocket === null ? '' : ". Look into {$one->pocket}"),
            'moved_while_counting' => "{$what}, {$one->pocket}: {$one->sent} counted, {$one->recorded} on record, ".
                'because pieces were put in or taken out meanwhile. Count again',
            'no_such_pocket' => "{$what}: the kit no longer has the pocket {$one->pocket}. Say where it is",
            default => $what,
        };
    }
}
