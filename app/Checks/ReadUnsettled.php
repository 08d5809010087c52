<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\Organisation;
use App\Checks\Http\UnsettledResource;
use App\Checks\Models\Unsettled;
use App\Judging\Words;
use App\Ledger\OperationKind;
use App\Stock\LateMovements;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

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
                        $this->text($one),
                        $one->operation_id,
                        $one->operation_number,
                        $one->pieces === null || $one->pieces < 1 ? null : $one->pieces,
                    ),
                )
                ->all(),
        );
    }

    private function piecesText(Unsettled $one): string
    {
        $other = DB::table('operations')->where('number', $one->other_operation)->first(['user_name', 'done_at', 'kind']);
        $what = abs((int) $one->pieces)." × {$one->subject}".($one->lot_number === null ? '' : " (lot {$one->lot_number})");
        $mine = "{$one->user->name} recorded {$what} for {$one->kit->code} at {$this->time($one->done_at)}";
        $theirs = $other === null ? 'somebody else' : "{$other->user_name} at {$this->time($other->done_at)}";

        return match ($one->because) {
            LateMovements::COUNTED_LATER => "{$mine}. The kit was counted later, by {$theirs}. That count stands",
            LateMovements::KIT_RETIRED => "{$mine}. The kit was taken out of service by {$theirs}",
            LateMovements::IN_DOUBT => "{$mine}. The kit was also counted by {$theirs}. Nobody knows which came first",
            default => "{$mine}. The same was put in by {$theirs}",
        }.match (true) {
            $one->pieces > 0 => '. Say where these pieces are',
            $one->because === LateMovements::KIT_RETIRED => '. These pieces were given another place then. Count the store',
            default => '. Count again',
        };
    }

    private function time(string $instant): string
    {
        return CarbonImmutable::parse($instant, 'UTC')->setTimezone($this->organisation->time_zone)->format('H:i \o\n j M Y');
    }

    private function title(Unsettled $one): string
    {
        $day = Words::date($this->organisation->dayOf(CarbonImmutable::parse($one->done_at, 'UTC')));

        return OperationKind::from($one->kind)->kind()->title().", {$one->user->name}, {$day}";
    }

    private function text(Unsettled $one): string
    {
        if ($one->pieces !== null) {
            return $this->piecesText($one);
        }
        $what = (string) $one->subject.($one->lot_number === null ? '' : " (lot {$one->lot_number})");

        return match ($one->because) {
            'kit_retired' => "{$what} was out of service when this was done. Nothing of it is on record; say what became of it",
            'not_there' => "{$what}: {$one->recorded} of {$one->sent} recorded, because no more were on record there".
                ($one->pocket === null ? '' : ". Look into {$one->pocket}"),
            'moved_while_counting' => "{$what}, {$one->pocket}: {$one->sent} counted, {$one->recorded} on record, ".
                'because pieces were put in or taken out meanwhile. Count again',
            'no_such_pocket' => "{$what}: the kit no longer has the pocket {$one->pocket}. Say where it is",
            'lost_tail' => 'The record was restored from a backup since, and newer entries were lost. This check rests on them. Check the kit again',
            default => $what,
        };
    }
}
