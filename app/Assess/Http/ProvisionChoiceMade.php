<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['list_id'], properties: [
    new OA\Property(property: 'list_id', type: 'string'),
    new OA\Property(property: 'design_id', type: 'string', nullable: true),
])]
final class ProvisionChoiceMade extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'list_id' => ['bail', 'required', 'string', 'exists:lists,id'],
            'design_id' => ['nullable', 'string', 'exists:designs,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'list_id.*' => 'Choose a list.',
        ];
    }
}
