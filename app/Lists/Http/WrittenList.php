<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Lists\EntryContent;
use App\Lists\LineContent;
use App\Lists\ListContent;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['base', 'title', 'basis', 'excludes', 'lines'],
        properties: [
            new OA\Property(property: 'base', type: 'integer', description: 'the revision that the change was based on'),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'size', type: 'string', nullable: true),
            new OA\Property(property: 'basis', type: 'string', description: 'what the list rests on'),
            new OA\Property(property: 'made_for_people', type: 'integer', nullable: true),
            new OA\Property(property: 'made_for_days', type: 'integer', nullable: true),
            new OA\Property(property: 'excludes', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'lines',
                type: 'array',
                items: new OA\Items(
                    required: ['code', 'need', 'rank', 'accepts'],
                    properties: [
                        new OA\Property(property: 'code', type: 'string'),
                        new OA\Property(property: 'need', type: 'string'),
                        new OA\Property(property: 'rank', type: 'string', enum: ['critical', 'required', 'optional']),
                        new OA\Property(property: 'quantity', type: 'integer', nullable: true),
                        new OA\Property(property: 'total_measure', type: 'string', nullable: true),
                        new OA\Property(property: 'total_quantity', type: 'string', nullable: true),
                        new OA\Property(
                            property: 'accepts',
                            type: 'array',
                            items: new OA\Items(
                                properties: [
                                    new OA\Property(property: 'item', type: 'string', nullable: true),
                                    new OA\Property(property: 'class', type: 'string', nullable: true),
                                    new OA\Property(
                                        property: 'minima',
                                        type: 'array',
                                        items: new OA\Items(
                                            required: ['measure', 'quantity'],
                                            properties: [
                                                new OA\Property(property: 'measure', type: 'string'),
                                                new OA\Property(property: 'quantity', type: 'string'),
                                            ],
                                            type: 'object',
                                        ),
                                    ),
                                    new OA\Property(
                                        property: 'maxima',
                                        type: 'array',
                                        items: new OA\Items(
                                            required: ['measure', 'quantity'],
                                            properties: [
                                                new OA\Property(property: 'measure', type: 'string'),
                                                new OA\Property(property: 'quantity', type: 'string'),
                                            ],
                                            type: 'object',
                                        ),
                                    ),
                                ],
                                type: 'object',
                            ),
                        ),
                        new OA\Property(property: 'per', type: 'string', enum: ['trip', 'people', 'person_days']),
                        new OA\Property(property: 'reason', type: 'string', nullable: true),
                        new OA\Property(
                            property: 'anyone_may_use', type: 'boolean',
                            description: 'for bystanders of a public station: scope of practice is not looked at',
                        ),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class WrittenList extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:1'],
            ...self::content(),
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function content(): array
    {
        return [
            'title' => ['required', 'string', 'max:160'],
            'size' => ['nullable', 'string', 'max:40'],
            'basis' => ['required', 'string', 'max:200'],
            'excludes' => ['present', 'array', 'max:50'],
            'excludes.*' => ['required', 'string', 'max:120', 'distinct'],
            'lines' => ['present', 'array', 'max:200'],
            'lines.*.code' => ['required', 'string', 'max:20', 'regex:/^[A-Za-z0-9_-]+$/', 'distinct'],
            'lines.*.need' => ['required', 'string', 'max:160'],
            'lines.*.rank' => ['required', 'in:critical,required,optional'],
            'lines.*.quantity' => [
                'nullable',
                'integer',
                'between:1,100000',
                'required_without:lines.*.total_quantity',
                'prohibits:lines.*.total_quantity',
            ],
            'lines.*.total_measure' => ['nullable', 'string', 'regex:/^[a-z][a-z_]{0,29}$/', 'required_with:lines.*.total_quantity'],
            'lines.*.total_quantity' => ['nullable', 'string', 'max:40'],
            'lines.*.accepts' => ['bail', 'required', 'array', 'min:1', 'max:30', new SoundEntries],
            'lines.*.reason' => ['nullable', 'string', 'max:200'],
            'lines.*.anyone_may_use' => ['boolean:strict'],
            'lines.*.per' => ['in:trip,people,person_days'],
            'made_for_people' => ['nullable', 'integer', 'between:1,10000', 'required_with:made_for_days'],
            'made_for_days' => ['nullable', 'integer', 'between:1,3660', 'required_with:made_for_people'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the list a title.',
            'basis.required' => 'Say what the list is based on: a standard and its edition, a risk assessment, an authority.',
            'lines.*.need.required' => 'Say what the line is needed for, such as Medium dressings.',
            'lines.*.code.distinct' => 'Two lines have this number. Give one of them another.',
            'lines.*.quantity.required_without' => 'Enter how many pieces, or how much in all with its unit.',
            'lines.*.quantity.prohibits' => 'A line asks for pieces or for a measure in all, not for both. Empty one of them.',
            'made_for_people.required_with' => 'Say for how many people the list is made, or empty its days.',
            'made_for_days.required_with' => 'Say for how many days the list is made, or empty its people.',
            'lines.*.quantity.between' => 'Enter 1 or more pieces.',
            'lines.*.accepts.required' => 'Choose at least one item or class that serves this line.',
        ];
    }

    /** At most so many items and classes serve its lines in all. */
    private const MOST_ENTRIES = 2_000;

    protected function prepareForValidation(): void
    {
        $this->countFirst();
        $lines = $this->json('lines');
        $entries = array_sum(array_map(
            static fn (mixed $line): int => is_array($line) && is_array($line['accepts'] ?? null) ? count($line['accepts']) : 0,
            is_array($lines) ? $lines : [],
        ));
        if ($entries > self::MOST_ENTRIES) {
            throw ValidationException::withMessages([
                'lines' => 'At most '.number_format(self::MOST_ENTRIES)." items and classes serve the lines of a list, and these are {$entries}. ".
                    'Name a class in place of many items.',
            ]);
        }
    }

    /** @return list<string> */
    protected function lookAfterTheirOwn(): array
    {
        return ['lines.*.accepts'];
    }

    public function base(): int
    {
        return (int) $this->validated('base');
    }

    public function list(): ListContent
    {
        /**
         * @var array{
         *     title: string, size?: string|null, basis: string, excludes: list<string>, lines: list<array<string, mixed>>,
         *     made_for_people?: int|null, made_for_days?: int|null,
         * } $valid
         */
        $valid = $this->validated();

        return new ListContent(
            $valid['title'],
            $valid['size'] ?? null,
            $valid['basis'],
            array_values($valid['excludes']),
            array_values(array_map(self::line(...), $valid['lines'])),
            isset($valid['made_for_people'], $valid['made_for_days'])
                ? ['people' => $valid['made_for_people'], 'days' => $valid['made_for_days']]
                : null,
        );
    }

    /** @param  array<string, mixed>  $line */
    private static function line(array $line): LineContent
    {
        /**
         * @var array{
         *     code: string, need: string, rank: string, quantity?: int|null, total_measure?: string|null,
         *     total_quantity?: string|null,
         *     accepts: list<array{
         *         item?: string|null, class?: string|null, minima?: list<array{measure: string, quantity: string}>,
         *         maxima?: list<array{measure: string, quantity: string}>,
         *     }>,
         *     reason?: string|null, anyone_may_use?: bool, per?: string,
         * } $line
         */
        $inAll = $line['total_quantity'] ?? null;

        return new LineContent(
            $line['code'],
            $line['need'],
            $line['rank'],
            $inAll !== null ? null : (int) ($line['quantity'] ?? 0),
            $inAll === null ? null : (string) ($line['total_measure'] ?? ''),
            $inAll,
            array_values(array_map(EntryContent::ofRequest(...), $line['accepts'])),
            $line['reason'] ?? null,
            $line['anyone_may_use'] ?? false,
            $line['per'] ?? 'trip',
        );
    }
}
