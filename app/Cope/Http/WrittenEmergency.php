<?php

declare(strict_types=1);

namespace App\Cope\Http;

use App\Cope\EmergencyContent;
use App\Cope\NeedContent;
use App\Lists\EntryContent;
use App\Lists\Http\SoundEntries;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[OA\Schema(required: ['base', 'title', 'scope', 'basis', 'needs'], properties: [
    new OA\Property(property: 'base', type: 'integer', description: 'the revision that the change was based on; 0: it is new'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
    new OA\Property(property: 'helpers', type: 'integer'),
    new OA\Property(property: 'basis', type: 'string', description: 'what the needs rest on'),
    new OA\Property(property: 'needs', type: 'array', items: new OA\Items(
        required: ['code', 'title', 'quantity', 'accepts'],
        properties: [
            new OA\Property(property: 'code', type: 'string'),
            new OA\Property(property: 'title', type: 'string'),
            new OA\Property(property: 'quantity', type: 'integer'),
            new OA\Property(property: 'reusable', type: 'boolean'),
            new OA\Property(property: 'accepts', type: 'array', items: new OA\Items(properties: [
                new OA\Property(property: 'item', type: 'string', nullable: true),
                new OA\Property(property: 'class', type: 'string', nullable: true),
                new OA\Property(property: 'minima', type: 'array', items: new OA\Items(required: ['measure', 'quantity'], properties: [
                    new OA\Property(property: 'measure', type: 'string'),
                    new OA\Property(property: 'quantity', type: 'string'),
                ], type: 'object')),
                new OA\Property(property: 'maxima', type: 'array', items: new OA\Items(required: ['measure', 'quantity'], properties: [
                    new OA\Property(property: 'measure', type: 'string'),
                    new OA\Property(property: 'quantity', type: 'string'),
                ], type: 'object')),
            ], type: 'object')),
        ],
        type: 'object',
    )),
])]
final class WrittenEmergency extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => ['required', 'integer', 'min:0'],
            'title' => ['required', 'string', 'max:120'],
            'scope' => ['required', Rule::enum(Scope::class)],
            'basis' => ['required', 'string', 'max:300'],
            'helpers' => ['integer:strict', 'between:1,20'],
            'needs' => ['required', 'array', 'min:1', 'max:20'],
            'needs.*.code' => ['required', 'string', 'regex:/^[a-z0-9][a-z0-9-]{0,39}$/', 'distinct'],
            'needs.*.title' => ['required', 'string', 'max:120'],
            'needs.*.quantity' => ['required', 'integer:strict', 'between:1,1000'],
            'needs.*.reusable' => ['boolean:strict'],
            'needs.*.accepts' => ['bail', 'required', 'array', 'min:1', 'max:30', new SoundEntries],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Say what kind of emergency it is, such as Burn, small.',
            'basis.required' => 'Say what the needs rest on: a course, guidance of the regulator, your own experience.',
            'helpers.*' => 'Enter how many helpers one casualty needs: 1 to 20.',
            'needs.required' => 'Say what one casualty takes: at least one need.',
            'needs.*.title.required' => 'Say what it is needed for, such as Gloves.',
            'needs.*.quantity.*' => 'Enter how many pieces one casualty takes: 1 to 1000.',
            'needs.*.accepts.required' => 'Choose at least one item or class that serves this need.',
        ];
    }

    public function content(): EmergencyContent
    {
        /**
         * @var array{title: string, scope: string, basis: string, helpers?: int, needs: list<array{
         *     code: string, title: string, quantity: int, reusable?: bool,
         *     accepts: list<array{
         *         item?: string|null, class?: string|null, minima?: list<array{measure: string, quantity: string}>,
         *         maxima?: list<array{measure: string, quantity: string}>,
         *     }>,
         * }>} $valid
         */
        $valid = $this->validated();

        return new EmergencyContent($valid['title'], Scope::from($valid['scope']), $valid['basis'], array_map(
            static fn (array $need): NeedContent => new NeedContent(
                $need['code'], $need['title'], $need['quantity'], $need['reusable'] ?? false,
                array_map(EntryContent::ofRequest(...), $need['accepts']),
            ), $valid['needs'],
        ), $valid['helpers'] ?? 1);
    }

    /** @return list<string> */
    protected function lookAfterTheirOwn(): array
    {
        return ['needs.*.accepts'];
    }
}
