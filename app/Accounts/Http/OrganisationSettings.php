<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['length_unit', 'mass_unit', 'volume_unit', 'currency', 'people_kept_days'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'time_zone', type: 'string'),
    new OA\Property(property: 'factor_required', type: 'boolean', description: 'everybody needs a second factor'),
    new OA\Property(property: 'asks_staging', type: 'boolean', description: 'items put in unprepared are an action due'),
    new OA\Property(property: 'length_unit', type: 'string', enum: ['mm', 'cm', 'in']),
    new OA\Property(property: 'mass_unit', type: 'string', enum: ['g', 'oz']),
    new OA\Property(property: 'volume_unit', type: 'string', enum: ['ml', 'floz']),
    new OA\Property(property: 'currency', type: 'string'),
    new OA\Property(property: 'people_kept_days', type: 'integer'),
])]
final class OrganisationSettings extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:120'],
            'time_zone' => ['sometimes', 'required', 'string', 'timezone:all'],
            'factor_required' => ['sometimes', 'boolean'],
            'asks_staging' => ['sometimes', 'boolean:strict'],
            'length_unit' => ['required', 'in:mm,cm,in'],
            'mass_unit' => ['required', 'in:g,oz'],
            'volume_unit' => ['required', 'in:ml,floz'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/'],
            'people_kept_days' => ['required', 'integer', 'between:0,3650'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Say what the organisation is called, in at most 120 characters.',
            'time_zone.*' => 'Choose a time zone, such as Europe/London.',
            'currency.regex' => 'Write the currency with three capital letters, such as GBP.',
            'people_kept_days.*' => 'Enter a number of days from 0 to 3650.',
        ];
    }
}
