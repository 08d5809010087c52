<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Judging\ContentRow;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\PieceCondition;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Pieces that stay in their store and lie there as something else: set apart, put back into stock, or in another container. */
final class SetApart
{
    private const MOST = 60;

    public function __construct(private readonly Lots $lots, private readonly Organisation $organisation)
    {
    }

    /**
     * @param  list<ContentRow>  $rows
     * @return list<LotMovement>
     *
     * @throws ValidationException at each row that cannot be recorded
     */
    public function movements(StoreReport $report, array $rows): array
    {
        $items = DB::table('items')->whereIn('code', array_map(static fn (ContentRow $row): string => $row->itemCode, $rows))
            ->get(['id', 'code', 'trains_again'])->keyBy('code');
        $movements = $errors = [];
        foreach ($rows as $at => $row) {
            $item = $items[$row->itemCode];
            $errors["rows.{$at}.condition"] = match ($report->task) {
                StoreTask::SetApart => $row->condition === 'good' ? null : 'Only good pieces are set apart: nothing else is restocked from.',
                StoreTask::Release => $this->refusal($row, (bool) $item->trains_again),
                default => $row->condition === 'good' ? null : 'Only what is good and closed is put into another container.',
            };
            array_push($movements, ...($report->task === StoreTask::Repack
                ? $this->repacked($report, $row, $item->id)
                : [new LotMovement(
                    (string) $row->lotId, $row->quantity, Location::store($report->storeId, $row->condition),
                    Location::store($report->storeId, $report->task === StoreTask::SetApart ? PieceCondition::QUARANTINED : 'good'),
                    $report->task === StoreTask::SetApart ? 'quarantined' : 'released',
                )]));
        }
        $errors = array_filter($errors, static fn (?string $error): bool => $error !== null);
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        return $movements;
    }

    private function refusal(ContentRow $row, bool $trainsAgain): ?string
    {
        return match (true) {
            ! in_array($row->condition, PieceCondition::APART, true) => 'These are in stock already.',
            $row->condition === PieceCondition::TRAINING && ! $trainsAgain => 'Once used for training, this item stays a training piece.',
            default => null,
        };
    }

    /** @return list<LotMovement> out of the one container and into the other, under the same number and date */
    private function repacked(StoreReport $report, ContentRow $row, string $itemId): array
    {
        $day = $this->organisation->dayOf($report->when->doneAt);
        $number = mb_substr((string) $row->lot, 0, self::MOST - 22);
        $into = $this->lots->findOrMake($itemId, trim("{$number} repacked {$day}"), $row->expires);
        DB::table('lots')->where('id', $into)->whereNull('repacked_from_id')->update(['repacked_from_id' => $row->lotId]);

        return [
            new LotMovement((string) $row->lotId, $row->quantity, Location::store($report->storeId), null, 'repacked'),
            new LotMovement($into, $row->quantity, null, Location::store($report->storeId), 'repacked'),
        ];
    }
}
