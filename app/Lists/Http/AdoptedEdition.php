<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['design'],
        properties: [
            new OA\Property(property: 'design', type: 'string'),
            new OA\Property(
                property: 'pockets',
                type: 'array',
                items: new OA\Items(
                    required: ['line', 'pocket_id'],
                    properties: [new OA\Property(property: 'line', type: 'string'), new OA\Property(property: 'pocket_id', type: 'string')],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class AdoptedEdition extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'design' => ['bail', 'required', 'string', 'exists:designs,id'],
            'pockets' => ['array'],
            'pockets.*.line' => ['required', 'string', 'max:20'],
            'pockets.*.pocket_id' => ['required', 'string', 'max:26'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'design.*' => 'Choose a design that keeps the older edition.',
        ];
    }
}
