<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'place_id'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'place_id', type: 'string'),
])]
final class KeptStore extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120'], 'place_id' => ['bail', 'required', 'string', 'exists:places,id']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the store a name, such as "Cupboard in the corridor".',
            'name.max' => 'A name has 120 characters at the most.',
            'place_id.*' => 'Choose the place where the store is.',
        ];
    }
}
