<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\CountedRow;
use App\Models\Kit;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Kit\Condition;

/** Rows as somebody counts them, in a check that runs or is finished. */
trait CountedRows
{
    /** @return array<string, list<mixed>> */
    private function rowRules(): array
    {
        return [
            'rows' => ['present', 'array', 'max:1000'],
            'rows.*.pocket_id' => ['required', 'string', 'max:26'],
            'rows.*.item' => ['required', 'string', 'max:60'],
            'rows.*.lot' => ['present', 'nullable', 'string', 'max:60'],
            'rows.*.expires' => ['bail', 'present', 'nullable', 'string', new PrintedOnPack],
            'rows.*.quantity' => ['required', 'integer:strict', 'min:0', 'max:100000'],
            'rows.*.condition' => ['required', Rule::enum(Condition::class)],
            'rows.*.new_lot' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    private function rowMessages(): array
    {
        return [
            'rows.*.quantity.integer' => 'A count is a whole number.',
            'rows.*.quantity.min' => 'A count is 0 or more.',
            'rows.*.quantity.max' => 'A count is 100000 at the most. Count again.',
            'rows.*.condition' => 'The condition is good, opened, damaged, soiled or failed.',
            'rows.*.lot.max' => 'A lot\'s number has 60 characters at the most.',
        ];
    }

    /** @return list<CountedRow> */
    private function countedRows(Kit $kit): array
    {
        $pockets = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->where('leaves.design_id', $kit->design_id)->pluck('pockets.id')->flip();
        $rows = [];
        $errors = [];
        /** @var array{rows: list<array{pocket_id: string, item: string, lot: string|null, expires: string|null, quantity: int, condition: string, new_lot?: bool}>} $valid */
        $valid = $this->validated();
        foreach ($valid['rows'] as $index => $row) {
            if (! $pockets->has($row['pocket_id'])) {
                $errors["rows.{$index}.pocket_id"] = "Kit {$kit->code} has no such pocket; its design may have changed. Open the kit again.";
            }
            $rows[] = new CountedRow($row['pocket_id'], $row['item'], $row['lot'], $row['expires'], $row['quantity'], $row['condition'], $row['new_lot'] ?? false);
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        return $rows;
    }
}
