<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Accounts\Models\Organisation;
use App\Support\Http\KnownKeys;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['user_id', 'due_on'], properties: [
    new OA\Property(property: 'user_id', type: 'string', nullable: true, description: 'null takes it back'),
    new OA\Property(property: 'due_on', type: 'string', format: 'date', nullable: true),
])]
final class GivenPlanTask extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $today = app(Organisation::class)->today();

        return [
            'user_id' => ['bail', 'present', 'nullable', 'string', 'exists:users,id'],
            'due_on' => [
                'bail', 'present', 'required_with:user_id', 'nullable', 'date_format:Y-m-d', "after_or_equal:{$today}",
                'before:'.CarbonImmutable::parse($today)->addYears(2)->toDateString(),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'user_id.*' => 'Choose who is to do it, or nobody.',
            'due_on.required_with' => 'Say by which day it is to be done.',
            'due_on.date_format' => 'By which day: a date, such as 2027-03-31.',
            'due_on.*' => 'By which day: today or later, within two years.',
        ];
    }
}
