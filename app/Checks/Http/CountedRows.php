<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Checks\CountedRow;
use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Ledger\PieceCondition;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Rows as somebody counts them, in a check that runs or is finished. */
trait CountedRows
{
    /** @return array<string, list<mixed>> */
    private function rowRules(): array
    {
        return ['rows' => ['present', 'array', 'max:1000', new SoundRows]];
    }

    /**
     * @param  bool  $mayBeOlder  counted by an older edition of its design: pockets that it had are taken as well
     * @return list<CountedRow>
     */
    private function countedRows(Kit $kit, bool $mayBeOlder = false): array
    {
        // Plans that are kept are read at once.
        app(JudgingVersion::class)->now();
        $pockets = app(KitPlans::class)->forKit($kit)->pockets;
        $rows = [];
        $errors = [];
        /**
         * @var array{rows: list<array{
         *     pocket_id: string, item: string, lot: string|null, expires: string|null, quantity: int,
         *     condition: string, opened_on?: string|null, new_lot?: bool,
         * }>} $valid
         */
        $valid = $this->validated();
        $former = $mayBeOlder ? self::former(array_column($valid['rows'], 'pocket_id')) : [];
        foreach ($valid['rows'] as $index => $row) {
            if (! isset($pockets[$row['pocket_id']]) && ! isset($former[$row['pocket_id']])) {
                $errors["rows.{$index}.pocket_id"] = "Kit {$kit->code} has no such pocket; its design may have changed. Open the kit again.";
            }
            $rows[] = new CountedRow(
                $row['pocket_id'],
                $row['item'],
                $row['lot'],
                $row['expires'],
                $row['quantity'],
                PieceCondition::recorded($row['condition'], $row['opened_on'] ?? null),
                $row['new_lot'] ?? false,
            );
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        return $rows;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, true> those that some design has or had
     */
    private static function former(array $ids): array
    {
        $own = array_combine($ids, array_map(static fn (string $id): string => Str::lower(Str::afterLast($id, '.')), $ids));
        $known = array_flip(DB::table('pockets')->whereIn('id', array_values($own))->pluck('id')->all());

        return array_fill_keys(array_keys(array_filter($own, static fn (string $id): bool => isset($known[$id]))), true);
    }
}
