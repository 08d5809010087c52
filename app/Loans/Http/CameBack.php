<?php

declare(strict_types=1);

namespace App\Loans\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['rows'], properties: [
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['lot_id', 'quantity'], properties: [
        new OA\Property(property: 'lot_id', type: 'string'),
        new OA\Property(property: 'quantity', type: 'integer', minimum: 0),
    ])),
    new OA\Property(property: 'final', type: 'boolean', description: 'nothing more will come back'),
    new OA\Property(property: 'note', type: 'string', nullable: true),
])]
final class CameBack extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'rows' => ['present', 'array', 'max:300'],
            'rows.*' => ['array'],
            'rows.*.lot_id' => ['required', 'string', 'distinct', 'exists:lots,id'],
            'rows.*.quantity' => ['required', 'integer:strict', 'min:0', 'max:100000'],
            'final' => ['boolean:strict'],
            'note' => ['nullable', 'required_if:final,true', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'rows.*.quantity.*' => 'Enter how many came back, a whole number.',
            'note.required_if' => 'Say why the rest does not come back.',
            'note.max' => 'A note has 300 characters at the most.',
        ];
    }

    /** @return array<string, int> pieces by lot */
    public function pieces(): array
    {
        /** @var list<array{lot_id: string, quantity: int}> $rows */
        $rows = $this->validated('rows');

        return array_filter(array_column($rows, 'quantity', 'lot_id'), static fn (int $pieces): bool => $pieces > 0);
    }
}
