<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use App\Catalogue\ItemHandling;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Measure\Dimension;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;
use Sarcina\Core\Measure\Unit;

/** @phpstan-import-type WrittenItem from \App\Catalogue\WriteItem as WrittenItemData */
#[
    OA\Schema(
        required: [
            'code',
            'name',
            'class',
            'count_unit',
            'dated',
            'sterile',
            'mass',
            'scope',
            'reserve',
            'purpose',
            'measures',
            'packs',
            'needs',
            'stand_ins',
        ],
        properties: [
            new OA\Property(
                property: 'base',
                type: 'integer',
                nullable: true,
                description: 'the revision that a change was based on; left out for a new item',
            ),
            new OA\Property(property: 'code', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'class', type: 'string', description: 'with dots, such as dressing.sterile'),
            new OA\Property(property: 'count_unit', type: 'string', enum: ['each', 'pair', 'roll']),
            new OA\Property(property: 'dated', type: 'boolean'),
            new OA\Property(property: 'sterile', type: 'boolean'),
            new OA\Property(property: 'mass', type: 'string', description: 'of one piece, with its unit: "22 g", "0.8 oz"; kept in whole grams'),
            new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
            new OA\Property(property: 'reserve', type: 'boolean'),
            new OA\Property(
                property: 'only_for_trained', type: 'boolean',
                description: 'only at hand for who is trained for it: where nobody there may use it, it is removed',
            ),
            new OA\Property(
                property: 'never_for', type: 'array', items: new OA\Items(type: 'string'),
                description: 'classes in whose place it must never be used',
            ),
            new OA\Property(property: 'purpose', type: 'string'),
            new OA\Property(property: 'caution', type: 'string', nullable: true),
            new OA\Property(property: 'superseded_by', type: 'string', nullable: true),
            new OA\Property(property: 'storage_min_c', type: 'integer', nullable: true),
            new OA\Property(property: 'storage_max_c', type: 'integer', nullable: true),
            new OA\Property(property: 'opened_life', type: 'integer', nullable: true),
            new OA\Property(property: 'opened_life_unit', type: 'string', nullable: true, enum: ['days', 'weeks', 'months']),
            new OA\Property(property: 'allergy', type: 'string', nullable: true),
            new OA\Property(
                property: 'measures',
                type: 'array',
                items: new OA\Items(
                    required: ['measure', 'quantity'],
                    properties: [new OA\Property(property: 'measure', type: 'string'), new OA\Property(property: 'quantity', type: 'string')],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'packs',
                type: 'array',
                items: new OA\Items(
                    required: ['pieces', 'price'],
                    properties: [
                        new OA\Property(property: 'pieces', type: 'integer'),
                        new OA\Property(property: 'price', type: 'integer', nullable: true),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'needs',
                type: 'array',
                items: new OA\Items(
                    required: ['any_of', 'per', 'quantity', 'reason'],
                    properties: [
                        new OA\Property(property: 'any_of', type: 'array', items: new OA\Items(type: 'string')),
                        new OA\Property(property: 'per', type: 'string', enum: ['kit', 'each']),
                        new OA\Property(property: 'quantity', type: 'integer'),
                        new OA\Property(property: 'reason', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'stand_ins',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'codes of items that may stand in for it, first choice first',
            ),
            new OA\Property(property: 'handling', type: 'object', required: ['told_from', 'names'], properties: [
                new OA\Property(property: 'layer', type: 'string', enum: ['contact', 'absorb', 'hold'], nullable: true),
                new OA\Property(property: 'start_minutes', type: 'integer', nullable: true),
                new OA\Property(property: 'staging', type: 'string', nullable: true),
                new OA\Property(property: 'unwraps', type: 'boolean'),
                new OA\Property(property: 'keep_dry', type: 'boolean'),
                new OA\Property(property: 'has_latex', type: 'boolean'),
                new OA\Property(property: 'bulk_ml', type: 'integer', nullable: true),
                new OA\Property(property: 'comes_back', type: 'boolean'),
                new OA\Property(property: 'trains_again', type: 'boolean'),
                new OA\Property(property: 'told_from', type: 'array', items: new OA\Items(required: ['item'], properties: [
                    new OA\Property(property: 'item', type: 'string'), new OA\Property(property: 'by', type: 'string', nullable: true),
                ], type: 'object')),
                new OA\Property(property: 'names', type: 'array', items: new OA\Items(ref: OtherName::class)),
            ]),
        ],
    ),
]
final class WrittenItem extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => ['nullable', 'integer', 'min:1'],
            'code' => ['bail', 'required', 'string', 'regex:/^[a-z0-9][a-z0-9-]{1,59}$/'],
            'name' => ['required', 'string', 'max:120'],
            'class' => ['required', 'string', 'max:120'],
            'count_unit' => ['required', 'in:each,pair,roll'],
            'dated' => ['required', 'boolean:strict'],
            'sterile' => ['required', 'boolean:strict'],
            'mass' => ['bail', 'required', 'string', self::mass(...)],
            'scope' => ['required', Rule::enum(Scope::class)],
            'reserve' => ['required', 'boolean:strict'],
            'only_for_trained' => ['boolean:strict'],
            'never_for' => ['array', 'max:20'],
            'never_for.*' => ['required', 'string', 'max:120', 'distinct'],
            'purpose' => ['required', 'string', 'max:80'],
            'caution' => ['nullable', 'string', 'max:200'],
            'superseded_by' => ['nullable', 'string', 'max:60'],
            'storage_min_c' => ['nullable', 'integer', 'between:-60,60'],
            'storage_max_c' => ['nullable', 'integer', 'between:-60,80'],
            'opened_life' => ['nullable', 'integer', 'between:1,999'],
            'opened_life_unit' => ['nullable', 'in:days,weeks,months'],
            'allergy' => ['nullable', 'string', 'max:200'],
            'measures' => ['present', 'array', 'max:12'],
            'measures.*.measure' => ['required', 'string', 'regex:/^[a-z][a-z_]{0,29}$/'],
            'measures.*.quantity' => ['required', 'string', 'max:40'],
            'packs' => ['present', 'array', 'max:12'],
            'packs.*.pieces' => ['required', 'integer', 'between:1,100000'],
            'packs.*.price' => ['present', 'nullable', 'integer', 'between:0,100000000'],
            'needs' => ['present', 'array', 'max:8'],
            'needs.*.any_of' => ['required', 'array', 'min:1', 'max:20'],
            'needs.*.any_of.*' => ['required', 'string', 'max:60'],
            'needs.*.per' => ['required', 'in:kit,each'],
            'needs.*.quantity' => ['required', 'integer', 'between:1,1000'],
            'needs.*.reason' => ['required', 'string', 'max:120'],
            'stand_ins' => ['present', 'array', 'max:20'],
            'stand_ins.*' => ['required', 'string', 'max:60', 'distinct'],
            ...ItemHandling::rules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.required' => 'Give the item a code, such as dressing-medium.',
            'code.regex' => 'A code has 2 to 60 small letters, digits and hyphens, such as dressing-medium.',
            'name.required' => 'Give the item its generic name, such as Medium dressing.',
            'class.required' => 'Choose a class, or write a new one with dots, such as dressing.sterile.',
            'mass.required' => 'Enter what one piece weighs, such as 22 g or 0.8 oz.',
            'purpose.required' => 'Say in about five words what it is for.',
            'measures.*.measure.regex' => 'Name the measure in small letters, such as width, height, length or volume.',
            'measures.*.quantity.required' => 'Enter a number and a unit, such as 12 cm.',
            'packs.*.pieces.*' => 'Enter how many pieces a pack holds, 1 or more.',
            'packs.*.price.*' => 'Enter the price of the pack, or leave it out.',
            'needs.*.any_of.required' => 'Choose the items beside which it works.',
            'needs.*.reason.required' => 'Say why it does not work without it.',
            ...ItemHandling::messages(),
        ];
    }

    public function base(): ?int
    {
        return $this->validated('base') === null ? null : (int) $this->validated('base');
    }

    /** @return WrittenItemData */
    public function item(): array
    {
        /** @var array<string, mixed> $valid */
        $valid = $this->validated();
        $nullable = ['caution', 'superseded_by', 'storage_min_c', 'storage_max_c', 'opened_life', 'opened_life_unit', 'allergy'];
        /** @var WrittenItemData $item */
        $item = [
            ...array_fill_keys($nullable, null),
            'only_for_trained' => false,
            'never_for' => [],
            ...array_diff_key($valid, ['base' => 0, 'mass' => 0, 'handling' => 0]),
            // A page from before it was there does not say, and what is there stays.
            'handling' => isset($valid['handling']) ? [...ItemHandling::NONE, ...(array) $valid['handling']] : null,
            'mass_g' => self::grams((string) $this->validated('mass')),
        ];

        return $item;
    }

    private static function mass(string $field, mixed $value, \Closure $fail): void
    {
        try {
            $quantity = Quantity::of(is_string($value) ? $value : '');
        } catch (NotAQuantity $refused) {
            $fail($refused->getMessage());

            return;
        }
        if ($quantity->dimension() !== Dimension::Mass || ! Quantity::of('100 kg')->isAtLeast($quantity)) {
            $fail('Enter a mass of at most 100 kg, such as 22 g or 0.8 oz.');
        }
    }

    /** Whole grams, rounded half up: what the formats hold. */
    private static function grams(string $mass): int
    {
        return (int) round((float) (string) Quantity::of($mass)->as(Unit::Gram), 0, PHP_ROUND_HALF_UP);
    }
}
