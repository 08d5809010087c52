<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Assess\Wanted;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['plan', 'wanted'], properties: [
    new OA\Property(property: 'plan', type: 'string', enum: ['least', 'full', 'both']),
    new OA\Property(property: 'wanted', type: 'string'),
    new OA\Property(property: 'count', type: 'integer', nullable: true, description: 'null takes the figure back'),
    new OA\Property(property: 'reason', type: 'string', nullable: true),
])]
final class AreaOverrideFigure extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'plan' => ['required', 'in:least,full,both'],
            'wanted' => ['required', Rule::in(Wanted::all())],
            'count' => ['nullable', 'integer', 'between:0,500'],
            'reason' => ['nullable', 'string', 'max:500', 'required_unless:count,null'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'count.between' => 'Enter a number from 0 to 500.',
            'reason.required_unless' => 'Say why: the reason is printed with the plan, and somebody will ask.',
        ];
    }
}
