<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['title', 'scheme'], properties: [
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'scheme', type: 'string', enum: ['headcount', 'class']),
])]
final class AssessmentSettings extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'],
            'scheme' => ['required', 'in:headcount,class'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the assessment a title.',
        ];
    }
}
