<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['least', 'target'], properties: [
    new OA\Property(property: 'least', type: 'integer', nullable: true, minimum: 1, description: 'pieces; null removes the level'),
    new OA\Property(property: 'target', type: 'integer', nullable: true, description: 'pieces, at least the least'),
])]
final class SetLevel extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'least' => ['bail', 'present', 'nullable', 'integer:strict', 'min:1', 'max:100000'],
            'target' => ['bail', 'present', 'required_with:least', 'nullable', 'integer:strict', 'gte:least', 'max:100000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'least.*' => 'At least: a whole number of pieces from 1 to 100000.',
            'target.gte' => 'Fill up to: no fewer pieces than the least.',
            'target.*' => 'Fill up to: a whole number of pieces from 1 to 100000.',
        ];
    }
}
