<?php

declare(strict_types=1);

namespace App\Reports\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['items'], properties: [
    new OA\Property(property: 'items', type: 'array', minItems: 1, items: new OA\Items(required: ['item', 'pieces'], properties: [
        new OA\Property(property: 'item', type: 'string'),
        new OA\Property(property: 'pieces', type: 'integer', minimum: 1, maximum: 99),
    ])),
])]
final class NewReport extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'items' => ['required', 'array', 'max:60'],
            'items.*' => ['array'],
            'items.*.item' => ['required', 'string', 'max:60', 'distinct'],
            'items.*.pieces' => ['required', 'integer:strict', 'min:1', 'max:99'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'items.required' => 'Say what was used.',
            'items.*.pieces.*' => 'Enter how many, a whole number from 1 to 99.',
        ];
    }

    /** @return array<string, int> pieces by the code of the item */
    public function pieces(): array
    {
        /** @var list<array{item: string, pieces: int}> $items */
        $items = $this->validated('items');

        return array_column($items, 'pieces', 'item');
    }

    public static function id(string $id): string
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of a report is a ULID.']);
        }

        return Str::lower($id);
    }
}
