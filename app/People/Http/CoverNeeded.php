<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Shifts;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[
    OA\Schema(
        required: ['place_id', 'needs'],
        properties: [
            new OA\Property(property: 'place_id', type: 'string'),
            new OA\Property(
                property: 'needs',
                type: 'array',
                items: new OA\Items(
                    required: ['shift', 'scope', 'count'],
                    properties: [
                        new OA\Property(property: 'shift', type: 'string'),
                        new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
                        new OA\Property(property: 'count', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class CoverNeeded extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'place_id' => ['bail', 'required', 'string', 'exists:places,id'],
            'needs' => ['present', 'array', 'max:30'],
            'needs.*.shift' => ['required', 'string', Rule::in(app(Shifts::class)->names())],
            'needs.*.scope' => ['required', Rule::enum(Scope::class)],
            'needs.*.count' => ['required', 'integer', 'between:1,500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'place_id.*' => 'Choose the place.',
            'needs.*.shift.*' => 'Choose one of the shifts. A new one is added under Shifts.',
            'needs.*.count.*' => 'Enter a number from 1 to 500.',
        ];
    }

    /** @return list<array{shift: string, scope: string, count: int}> */
    public function needs(): array
    {
        /** @var list<array{shift: string, scope: string, count: int}> $needs */
        $needs = $this->validated('needs');
        $kept = [];
        foreach ($needs as $need) {
            $kept[trim($need['shift'])."\n".$need['scope']] = [
                'shift' => trim($need['shift']),
                'scope' => $need['scope'],
                'count' => (int) $need['count'],
            ];
        }

        return array_values($kept);
    }
}
