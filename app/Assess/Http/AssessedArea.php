<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Support\Http\KnownIds;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Provision\Risk;

#[
    OA\Schema(
        required: [
            'base',
            'name',
            'places',
            'people',
            'hazard',
            'points',
            'lone_workers',
            'vehicles',
            'running_water',
            'children',
            'minutes_to_help',
            'risks',
        ],
        properties: [
            new OA\Property(property: 'base', type: 'integer', description: 'the revision that the answers are based on; 0 for a new area'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'places', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'hangs_at', type: 'string', nullable: true),
            new OA\Property(property: 'people', type: 'integer'),
            new OA\Property(property: 'hazard', type: 'string', enum: ['low', 'high']),
            new OA\Property(property: 'points', type: 'integer'),
            new OA\Property(property: 'lone_workers', type: 'integer'),
            new OA\Property(property: 'vehicles', type: 'integer'),
            new OA\Property(property: 'running_water', type: 'boolean'),
            new OA\Property(property: 'has_freezer', type: 'boolean', nullable: true, description: 'null: not answered'),
            new OA\Property(property: 'children', type: 'integer'),
            new OA\Property(property: 'minutes_to_help', type: 'integer'),
            new OA\Property(property: 'risks', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'note', type: 'string', nullable: true),
        ],
    ),
]
final class AssessedArea extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:0'],
            'name' => ['required', 'string', 'max:120'],
            'places' => ['present', 'array', 'max:50'],
            'places.*' => ['required', 'string', 'distinct', new KnownIds('places', 'There is no such place.')],
            'hangs_at' => ['nullable', 'string', 'max:160'],
            'people' => ['required', 'integer', 'between:0,100000'],
            'hazard' => ['required', 'in:low,high'],
            'points' => ['required', 'integer', 'between:1,200'],
            'lone_workers' => ['required', 'integer', 'between:0,500'],
            'vehicles' => ['required', 'integer', 'between:0,500'],
            'running_water' => ['required', 'boolean:strict'],
            'has_freezer' => ['nullable', 'boolean:strict'],
            'children' => ['required', 'integer', 'between:0,100000'],
            'minutes_to_help' => ['required', 'integer', 'between:0,2880'],
            'risks' => ['present', 'array'],
            'risks.*' => [Rule::enum(Risk::class), 'distinct'],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the area a name, such as Glasshouses.',
            'people.*' => 'Enter how many people are there at the busiest time, 0 to 100,000.',
            'points.*' => 'Enter 1 or more: floors, buildings or spots too far apart to share a kit.',
            'lone_workers.*' => 'Enter a number from 0 to 500.',
            'vehicles.*' => 'Enter a number from 0 to 500.',
            'children.*' => 'Enter how many children are there at the busiest time, 0 if none.',
            'minutes_to_help.*' => 'Enter how many minutes it takes until an ambulance is there, 0 to 2880.',
        ];
    }

    public function base(): int
    {
        return (int) $this->validated('base');
    }

    /**
     * @return array{
     *     name: string, places: list<string>, hangs_at: string|null, people: int, hazard: string, points: int,
     *     lone_workers: int, vehicles: int, running_water: bool, has_freezer?: bool|null, children: int, minutes_to_help: int,
     *     risks: list<string>, note: string|null,
     * }
     */
    public function answers(): array
    {
        /**
         * @var array{
         *     name: string, places: list<string>, hangs_at: string|null, people: int, hazard: string, points: int,
         *     lone_workers: int, vehicles: int, running_water: bool, has_freezer?: bool|null, children: int, minutes_to_help: int,
         *     risks: list<string>, note: string|null,
         * } $answers
         */
        $answers = [...['hangs_at' => null, 'note' => null], ...array_diff_key($this->validated(), ['base' => 0])];

        return [...$answers, 'places' => array_map(strtolower(...), array_values($answers['places'])), 'risks' => array_values($answers['risks'])];
    }
}
