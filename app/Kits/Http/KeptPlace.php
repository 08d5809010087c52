<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Carry\Setting;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'kind', 'parent_id'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['site', 'building', 'floor', 'spot', 'vehicle', 'person']),
    new OA\Property(property: 'parent_id', type: 'string', nullable: true),
    new OA\Property(
        property: 'setting', type: 'string', nullable: true, enum: ['workplace', 'school', 'sport', 'trip', 'event'],
        description: 'for rates of use; null: that of the place above it. Left out: as it was',
    ),
])]
final class KeptPlace extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120', 'not_regex:/,/'],
            'kind' => ['required', Rule::in(['site', 'building', 'floor', 'spot', 'vehicle', 'person'])],
            'setting' => ['nullable', Rule::enum(Setting::class)],
            'parent_id' => ['bail', 'present', 'nullable', 'string', 'exists:places,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the place a name, such as "First floor".',
            'name.max' => 'A name has 120 characters at the most.',
            'name.not_regex' => 'A comma stands between a place and what it lies in: leave it out of the name.',
            'setting.*' => 'Choose a workplace, school, sport, trip or event.',
            'kind.*' => 'Choose what kind of place it is.',
            'parent_id.*' => 'Choose the place that it lies in, or none.',
        ];
    }
}
