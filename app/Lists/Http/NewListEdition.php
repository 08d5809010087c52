<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['edition'], properties: [
    new OA\Property(property: 'edition', type: 'string'),
])]
final class NewListEdition extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'edition' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'edition.required' => 'Give the new edition a name, such as 2 or 2027.',
        ];
    }
}
