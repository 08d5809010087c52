<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['state'], properties: [
    new OA\Property(property: 'state', type: 'string', enum: ['done', 'withdrawn']),
    new OA\Property(property: 'outcome', type: 'string', nullable: true, description: 'what was done, or why it is withdrawn'),
])]
final class ClosedKitTask extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', Rule::in(['done', 'withdrawn'])],
            'outcome' => ['nullable', 'string', 'max:300', 'required_if:state,withdrawn'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['outcome.required_if' => 'Say why the task is withdrawn.', 'outcome.max' => 'At most 300 characters.'];
    }
}
