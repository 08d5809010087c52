<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['what'], properties: [
    new OA\Property(property: 'what', type: 'string'),
])]
final class SeenAreaChange extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'what' => ['required', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'what.required' => 'Say what has changed, such as a second oven.',
        ];
    }
}
