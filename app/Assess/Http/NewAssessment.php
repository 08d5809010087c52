<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'title', 'scheme'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'a ULID made by the page: sent twice, one is made'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'scheme', type: 'string', enum: ['headcount', 'class']),
])]
final class NewAssessment extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'title' => ['required', 'string', 'max:120'],
            'scheme' => ['required', 'in:headcount,class'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the assessment a title, such as the site and the year.',
        ];
    }
}
