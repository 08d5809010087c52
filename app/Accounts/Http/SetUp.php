<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\StrongPassword;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: [
    'code', 'organisation', 'time_zone', 'currency', 'length_unit', 'mass_unit', 'volume_unit', 'people_kept_days', 'with_catalogue',
    'name', 'email', 'password',
], properties: [
    new OA\Property(property: 'code', type: 'string', description: 'as bin/sarcina start --own printed it'),
    new OA\Property(property: 'organisation', type: 'string'),
    new OA\Property(property: 'time_zone', type: 'string', description: 'such as Europe/London'),
    new OA\Property(property: 'currency', type: 'string'),
    new OA\Property(property: 'length_unit', type: 'string', enum: ['mm', 'cm', 'in']),
    new OA\Property(property: 'mass_unit', type: 'string', enum: ['g', 'oz']),
    new OA\Property(property: 'volume_unit', type: 'string', enum: ['ml', 'floz']),
    new OA\Property(property: 'people_kept_days', type: 'integer'),
    new OA\Property(property: 'with_catalogue', type: 'boolean', description: 'the catalogue of generic items and the starter lists'),
    new OA\Property(property: 'name', type: 'string', description: 'of the first lead'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class SetUp extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $own = array_map(fn (string $field): string => $this->string($field)->value(), ['organisation', 'name', 'email']);

        return [
            'code' => ['required', 'string', 'max:40'],
            'organisation' => ['required', 'string', 'max:120'],
            'time_zone' => ['required', 'string', 'timezone:all'],
            ...array_diff_key((new OrganisationSettings)->rules(), ['name' => 0, 'time_zone' => 0, 'factor_required' => 0]),
            'with_catalogue' => ['required', 'boolean'],
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', new StrongPassword($own)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...(new OrganisationSettings)->messages(),
            'code.*' => 'Type the code that was printed when Sarcina was started.',
            'organisation.*' => 'Say what the organisation is called, in at most 120 characters.',
            'name.*' => 'Enter your name, as colleagues know you.',
            'email.*' => 'An email address has a name, an @ and a place, such as name@place.example.',
            'password.required' => 'Choose a password.',
        ];
    }
}
