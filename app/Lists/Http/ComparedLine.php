<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['outcome'], properties: [
    new OA\Property(property: 'outcome', type: 'string', enum: ['matches', 'differs', 'absent']),
    new OA\Property(property: 'figure', type: 'string', nullable: true, description: 'what your own copy asks for, where it differs'),
    new OA\Property(property: 'note', type: 'string', nullable: true),
])]
final class ComparedLine extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'outcome' => ['required', 'in:matches,differs,absent'],
            'figure' => ['nullable', 'string', 'max:40', 'required_if:outcome,differs'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'outcome.*' => 'Say whether the line matches your copy, differs from it, or is not in it.',
            'figure.required_if' => 'Enter the figure of your own copy.',
        ];
    }

    /** @return array{outcome: string, figure: string|null, note: string|null} */
    public function found(): array
    {
        return ['outcome' => (string) $this->validated('outcome'), 'figure' => $this->validated('figure'), 'note' => $this->validated('note')];
    }
}
