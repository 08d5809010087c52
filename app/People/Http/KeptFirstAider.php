<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Shifts;
use App\Support\Http\KnownIds;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[
    OA\Schema(
        required: ['name', 'qualifications', 'postings'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'ended_on', type: 'string', nullable: true),
            new OA\Property(
                property: 'qualifications',
                type: 'array',
                items: new OA\Items(
                    required: ['scope', 'title'],
                    properties: [
                        new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'expires_on', type: 'string', nullable: true),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'postings',
                type: 'array',
                items: new OA\Items(
                    required: ['place_id', 'shift'],
                    properties: [new OA\Property(property: 'place_id', type: 'string'), new OA\Property(property: 'shift', type: 'string')],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class KeptFirstAider extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'ended_on' => ['nullable', 'date_format:Y-m-d'],
            'qualifications' => ['present', 'array', 'max:20'],
            'qualifications.*.scope' => ['required', Rule::enum(Scope::class)],
            'qualifications.*.title' => ['required', 'string', 'max:120'],
            'qualifications.*.expires_on' => ['nullable', 'date_format:Y-m-d'],
            'postings' => ['present', 'array', 'max:50'],
            'postings.*.place_id' => ['required', 'string', new KnownIds('places', 'Choose the place.')],
            'postings.*.shift' => ['required', 'string', Rule::in(app(Shifts::class)->names())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter the name.',
            'qualifications.*.title.required' => 'Say what the training is called.',
            'qualifications.*.expires_on.date_format' => 'Enter the last day of the qualification, such as 2027-03-31.',
            'postings.*.place_id.*' => 'Choose the place.',
            'postings.*.shift.*' => 'Choose one of the shifts. A new one is added under Shifts.',
        ];
    }

    /**
     * @return array{
     *     name: string, ended_on: string|null,
     *     qualifications: list<array{scope: string, title: string, expires_on: string|null}>,
     *     postings: list<array{place_id: string, shift: string}>,
     * }
     */
    public function person(): array
    {
        /**
         * @var array{
         *     name: string, ended_on?: string|null,
         *     qualifications: list<array{scope: string, title: string, expires_on?: string|null}>,
         *     postings: list<array{place_id: string, shift: string}>,
         * } $valid
         */
        $valid = $this->validated();

        return [
            'name' => $valid['name'],
            'ended_on' => $valid['ended_on'] ?? null,
            'qualifications' => array_map(
                static fn (array $held): array => [
                    'scope' => $held['scope'],
                    'title' => $held['title'],
                    'expires_on' => $held['expires_on'] ?? null,
                ],
                array_values($valid['qualifications']),
            ),
            'postings' => array_values(
                array_unique(
                    array_map(
                        static fn (array $posting): array => ['place_id' => strtolower($posting['place_id']), 'shift' => trim($posting['shift'])],
                        $valid['postings'],
                    ),
                    SORT_REGULAR,
                ),
            ),
        ];
    }
}
