<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Kits\NewKitReport;
use App\Support\Http\KnownIds;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[OA\Schema(required: ['design_id', 'scope', 'kits'], properties: [
    new OA\Property(property: 'design_id', type: 'string'),
    new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
    new OA\Property(property: 'kits', type: 'array', items: new OA\Items(required: ['id', 'code', 'name', 'place_id'], properties: [
        new OA\Property(property: 'id', type: 'string', description: 'a ULID made by the page: sent twice, one kit is made'),
        new OA\Property(property: 'code', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'place_id', type: 'string'),
    ])),
])]
final class NewKits extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'design_id' => ['bail', 'required', 'string', 'exists:designs,id'],
            'scope' => ['required', Rule::enum(Scope::class)],
            'kits' => ['required', 'array', 'min:1', 'max:20'],
            'kits.*' => ['array:id,code,name,place_id'],
            'kits.*.id' => ['required', 'ulid', 'distinct'],
            'kits.*.code' => ['bail', 'required', 'string', 'distinct', 'regex:/^[A-Z0-9][A-Z0-9-]{1,19}$/'],
            'kits.*.name' => ['required', 'string', 'max:120'],
            'kits.*.place_id' => ['bail', 'required', 'string', new KnownIds('places', 'Choose the place where the kit will be.')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'design_id.*' => 'Choose a design.',
            'kits.max' => 'At most 20 kits at once.',
            'kits.*.code.distinct' => 'Two of these kits have the same code.',
            'kits.*.code.*' => 'A code has 2 to 20 capital letters, digits and hyphens, such as QH-20.',
            'kits.*.name.*' => 'Give the kit a name, such as "Rose walk pouch".',
            'kits.*.place_id.*' => 'Choose the place where the kit will be.',
        ];
    }

    /** @return list<NewKitReport> */
    public function reports(): array
    {
        /** @var array{design_id: string, scope: string, kits: list<array{id: string, code: string, name: string, place_id: string}>} $valid */
        $valid = $this->validated();

        return array_map(static fn (array $kit): NewKitReport => new NewKitReport(
            strtolower($kit['id']), $kit['code'], $kit['name'], strtolower($valid['design_id']), strtolower($kit['place_id']), $valid['scope'],
        ), array_values($valid['kits']));
    }
}
