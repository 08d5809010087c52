<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['chosen', 'signed'], properties: [
    new OA\Property(property: 'chosen', type: 'string', enum: ['least', 'full']),
    new OA\Property(property: 'signed', type: 'string'),
])]
final class SignedAssessment extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'chosen' => ['required', 'in:least,full'],
            'signed' => ['required', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'chosen.*' => 'Choose minimum or full provision.',
            'signed.required' => 'Sign with your name.',
        ];
    }
}
