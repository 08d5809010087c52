<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['state'], properties: [
    new OA\Property(property: 'state', type: 'string', enum: ['done', 'dropped']),
    new OA\Property(property: 'reason', type: 'string', nullable: true),
    new OA\Property(property: 'place_id', type: 'string', nullable: true),
])]
final class ClosedTask extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', 'in:done,dropped'],
            'reason' => ['nullable', 'string', 'max:500', 'required_if:state,dropped'],
            'place_id' => ['nullable', 'string', 'exists:places,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required_if' => 'Say why this is not done: it stays with the plan.',
        ];
    }
}
