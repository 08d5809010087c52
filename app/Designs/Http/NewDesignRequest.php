<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\LaidOutLeaf;
use App\Designs\NewDesign;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NewDesign', required: ['name', 'list_id', 'every_weeks', 'margin_days', 'empty_mass_g', 'sealed', 'leaves'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'list_id', type: 'string'),
    new OA\Property(property: 'every_weeks', type: 'integer', description: 'weeks from one full check to the next'),
    new OA\Property(property: 'margin_days', type: 'integer', description: 'days beyond the next check through which items must be in date'),
    new OA\Property(property: 'empty_mass_g', type: 'integer'),
    new OA\Property(property: 'sealed', type: 'boolean'),
    new OA\Property(property: 'leaves', type: 'array', items: new OA\Items(required: ['name', 'pockets'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'pockets', type: 'array', items: new OA\Items(required: ['name', 'lines'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'lines', type: 'array', items: new OA\Items(type: 'string'), description: 'their codes'),
        ])),
    ])),
])]
final class NewDesignRequest extends FormRequest
{
    use KnownKeys;

    private const MOST_POCKETS = 30;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'list_id' => ['bail', 'required', 'string', 'exists:lists,id'],
            'every_weeks' => ['required', 'integer:strict', 'between:1,104'],
            'margin_days' => ['required', 'integer:strict', 'between:0,365'],
            'empty_mass_g' => ['required', 'integer:strict', 'between:0,100000'],
            'sealed' => ['required', 'boolean'],
            'leaves' => ['required', 'array', 'min:1', 'max:6'],
            'leaves.*' => ['array:name,pockets'],
            'leaves.*.name' => ['required', 'string', 'max:60', 'distinct', 'not_regex:/,/'],
            'leaves.*.pockets' => ['required', 'array', 'min:1', 'max:20'],
            'leaves.*.pockets.*' => ['array:name,lines'],
            'leaves.*.pockets.*.name' => ['required', 'string', 'max:60', 'not_regex:/,/'],
            'leaves.*.pockets.*.lines' => ['present', 'array', 'max:150'],
            'leaves.*.pockets.*.lines.*' => ['string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the design a name, such as "Office box", in at most 120 characters.',
            'list_id.*' => 'Choose a list.',
            'every_weeks.*' => 'Weeks from one check to the next: 1 to 104.',
            'margin_days.*' => 'Days beyond the next check: 0 to 365.',
            'empty_mass_g.*' => 'The mass of the empty bag in whole grams, up to 100000.',
            'leaves.*.name.*' => 'Each part of the kit has a name of its own, without a comma.',
            'leaves.*.pockets.*.name.*' => 'Each pocket has a name, without a comma.',
            'leaves.*.pockets.*' => 'A part of the kit has at least one pocket, and at most 20.',
        ];
    }

    public function design(string $id): NewDesign
    {
        /**
         * @var array{
         *     name: string, list_id: string, every_weeks: int, margin_days: int, empty_mass_g: int, sealed: bool,
         *     leaves: list<array{name: string, pockets: list<array{name: string, lines: list<string>}>}>,
         * } $valid
         */
        $valid = $this->validated();
        $all = array_sum(array_map(static fn (array $leaf): int => count($leaf['pockets']), $valid['leaves']));
        if ($all > self::MOST_POCKETS) {
            throw ValidationException::withMessages(['leaves' => 'A kit has '.self::MOST_POCKETS." pockets at the most; these are {$all}."]);
        }

        return new NewDesign(
            $id, trim($valid['name']), Str::lower($valid['list_id']), $valid['every_weeks'], $valid['margin_days'], $valid['empty_mass_g'],
            (bool) $valid['sealed'], array_map(self::leaf(...), array_values($valid['leaves'])),
        );
    }

    /** @param  array{name: string, pockets: list<array{name: string, lines: list<string>}>}  $leaf */
    private static function leaf(array $leaf): LaidOutLeaf
    {
        $pockets = [];
        foreach ($leaf['pockets'] as $pocket) {
            if (isset($pockets[$pocket['name']])) {
                throw ValidationException::withMessages([
                    'leaves' => "Two pockets of {$leaf['name']} are called {$pocket['name']}. Name them apart.",
                ]);
            }
            $pockets[$pocket['name']] = array_values($pocket['lines']);
        }

        return new LaidOutLeaf($leaf['name'], $pockets);
    }
}
