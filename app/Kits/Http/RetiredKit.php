<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Kits\RetireKit;
use App\Ledger\PieceCondition;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['reason'], properties: [
    new OA\Property(property: 'reason', type: 'string', maxLength: 200),
    new OA\Property(property: 'pieces', type: 'array', description: 'where pieces go that are not treated as proposed', items: new OA\Items(
        required: ['pocket_id', 'lot_id', 'condition', 'to'],
        properties: [
            new OA\Property(property: 'pocket_id', type: 'string'),
            new OA\Property(property: 'lot_id', type: 'string'),
            new OA\Property(property: 'condition', type: 'string'),
            new OA\Property(property: 'opened_on', type: 'string', format: 'date', nullable: true),
            new OA\Property(property: 'to', type: 'string', enum: RetireKit::WAYS),
        ],
        type: 'object',
    )),
])]
final class RetiredKit extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:200'],
            'pieces' => ['sometimes', 'array', 'max:1000'],
            'pieces.*' => ['array:pocket_id,lot_id,condition,opened_on,to'],
            'pieces.*.pocket_id' => ['required', 'string', 'max:60'],
            'pieces.*.lot_id' => ['required', 'string', 'max:26'],
            'pieces.*.condition' => ['required', Rule::in(PieceCondition::WORDS)],
            'pieces.*.opened_on' => ['nullable', 'date_format:Y-m-d'],
            'pieces.*.to' => ['required', Rule::in(RetireKit::WAYS)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.*' => 'Say why it is taken out of service, in at most 200 characters.',
            'pieces.*' => 'Say of each piece whether it goes to the store, is disposed of, is lost, or stays with the kit.',
        ];
    }

    /** @return array<string, string> way by "pocket lot condition"; of a module without its id before the pocket */
    public function where(): array
    {
        $where = [];
        /** @var list<array{pocket_id: string, lot_id: string, condition: string, opened_on?: string|null, to: string}> $pieces */
        $pieces = $this->validated('pieces') ?? [];
        foreach ($pieces as $piece) {
            $condition = PieceCondition::recorded($piece['condition'], $piece['opened_on'] ?? null);
            $pocket = Str::afterLast(Str::lower($piece['pocket_id']), '.');
            $where["{$pocket} ".Str::lower($piece['lot_id'])." {$condition}"] = $piece['to'];
        }

        return $where;
    }
}
