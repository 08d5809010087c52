<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Catalogue\Catalogue;
use App\Checks\CountedRow;
use App\Judging\AsChecked;
use App\Judging\ContentRow;
use App\Judging\RecalledLots;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['rows'], properties: [
    new OA\Property(
        property: 'begun_at', description: 'when the check was begun: it counts what was reported used before', type: 'string', format: 'date-time',
    ),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/CountedRow')),
])]
final class CountedContents extends FormRequest
{
    use CountedRows, KnownKeys, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['begun_at' => ['sometimes', ...$this->whenRules()['begun_at']], ...$this->rowRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->whenMessages();
    }

    public function asChecked(): AsChecked
    {
        $begun = $this->instant('begun_at');

        return new AsChecked($begun === null ? null : KitHistory::instant($begun));
    }

    /** @return list<ContentRow> */
    public function contentRows(Kit $kit): array
    {
        $rows = array_values(array_filter($this->countedRows($kit), static fn (CountedRow $row): bool => $row->quantity > 0));
        $known = app(Catalogue::class)->items(array_values(array_unique(array_map(static fn (CountedRow $row): string => $row->itemCode, $rows))));
        foreach ($rows as $index => $row) {
            if (! isset($known[$row->itemCode])) {
                throw ValidationException::withMessages(["rows.{$index}.item" => "There is no item \"{$row->itemCode}\" in the catalogue."]);
            }
        }

        return RecalledLots::marked(array_map(
            static fn (CountedRow $row): ContentRow => new ContentRow(
                $row->pocketId,
                $row->itemCode,
                null,
                $row->lot,
                $row->expires,
                $row->quantity,
                $row->condition,
            ),
            $rows,
        ));
    }
}
