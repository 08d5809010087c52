<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Checks\Http\NamesPieces;
use App\Checks\Http\SaysWhen;
use App\Kits\Models\Kit;
use App\Ledger\PieceCondition;
use App\Stock\PutIn;
use App\Stock\RestockReport;
use App\Stock\TakenOut;
use App\Support\Http\KnownIds;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['store', 'begun_at', 'base', 'out', 'in'],
        properties: [
            new OA\Property(property: 'store', type: 'string'),
            new OA\Property(property: 'begun_at', type: 'string', format: 'date-time'),
            new OA\Property(
                property: 'done_at',
                type: 'string',
                format: 'date-time',
                nullable: true,
                description: 'by the device\'s clock, corrected; left out: now, by the server\'s',
            ),
            new OA\Property(
                property: 'clock_checked_at',
                type: 'string',
                format: 'date-time',
                nullable: true,
                description: 'when the device\'s clock was last compared with the server\'s',
            ),
            new OA\Property(property: 'base', ref: '#/components/schemas/Base'),
            new OA\Property(
                property: 'out',
                type: 'array',
                items: new OA\Items(
                    required: ['pocket_id', 'lot_id', 'condition', 'quantity', 'to'],
                    properties: [
                        new OA\Property(property: 'pocket_id', type: 'string'),
                        new OA\Property(property: 'lot_id', type: 'string'),
                        new OA\Property(property: 'condition', type: 'string', enum: ['good', 'opened', 'damaged', 'soiled', 'failed']),
                        new OA\Property(property: 'opened_on', type: 'string', format: 'date', nullable: true),
                        new OA\Property(property: 'quantity', type: 'integer', minimum: 1),
                        new OA\Property(property: 'to', type: 'string', enum: ['discard', 'store']),
                    ],
                ),
            ),
            new OA\Property(
                property: 'in',
                type: 'array',
                items: new OA\Items(
                    required: ['pocket_id', 'lot_id', 'quantity'],
                    properties: [
                        new OA\Property(property: 'pocket_id', type: 'string'),
                        new OA\Property(property: 'lot_id', type: 'string'),
                        new OA\Property(property: 'quantity', type: 'integer', minimum: 1),
                        new OA\Property(property: 'staged', type: 'boolean', nullable: true, description: 'what is done to it before was done'),
                    ],
                ),
            ),
            new OA\Property(property: 'round_id', type: 'string', nullable: true, description: 'the round on which it was done'),
            new OA\Property(
                property: 'not_found',
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'lots that the record has in the store and of which nothing was found there',
            ),
            new OA\Property(property: 'seal_reason', type: 'string', nullable: true),
            new OA\Property(property: 'seal_set', type: 'string', nullable: true),
        ],
    ),
]
final class DoneRestock extends FormRequest
{
    use KnownKeys, NamesPieces, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'store' => ['bail', 'required', 'string', 'exists:stores,id'],
            ...$this->whenRules(),
            'out' => ['present', 'array', 'max:500'],
            ...self::pieceRules('out.*'),
            'out.*.quantity' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'out.*.to' => ['required', Rule::in(['discard', 'store'])],
            'in' => ['present', 'array', 'max:500'],
            ...self::pieceRules('in.*', false),
            'in.*.staged' => ['nullable', 'boolean:strict'],
            'in.*.quantity' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'not_found' => ['array', 'max:500'],
            'not_found.*' => ['bail', 'string', 'distinct:ignore_case', new KnownIds('lots', 'This lot is not on record.')],
            'seal_reason' => ['nullable', 'string', 'max:200'],
            'seal_set' => ['nullable', 'string', 'max:40'],
            'round_id' => ['nullable', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->whenMessages(),
            'store.exists' => 'There is no such store.',
            'not_found.*.distinct' => 'This lot is named twice.',
            '*.*.quantity.*' => 'Enter how many, a whole number from 1 to 100000.',
        ];
    }

    public function report(Kit $kit, string $id): RestockReport
    {
        $id = self::ulid($id);
        /**
         * @var array{
         *     store: string,
         *     out: list<array{pocket_id: string, lot_id: string, condition: string, opened_on?: string|null, quantity: int, to: string}>,
         *     in: list<array{pocket_id: string, lot_id: string, quantity: int, staged?: bool|null}>, not_found?: list<string>,
         *     seal_reason?: string|null,
         *     seal_set?: string|null, round_id?: string|null,
         * } $valid
         */
        $valid = $this->validated();
        if ($valid['out'] === [] && $valid['in'] === [] && ($valid['not_found'] ?? []) === []) {
            throw ValidationException::withMessages(['in' => 'Nothing was put in or taken out. Tick what you did.']);
        }

        self::refuseUnknownPockets($kit, [...self::pocketsOf($valid['out'], 'out'), ...self::pocketsOf($valid['in'], 'in')]);

        return new RestockReport(
            $id,
            $kit->id,
            Str::lower($valid['store']),
            $this->whenDone(),
            $this->base(),
            array_map(
                static fn (array $row): TakenOut => new TakenOut(
                    $row['pocket_id'],
                    $row['lot_id'],
                    PieceCondition::recorded($row['condition'], $row['opened_on'] ?? null),
                    $row['quantity'],
                    $row['to'] === 'store',
                ),
                $valid['out'],
            ),
            array_map(static fn (array $row): PutIn => new PutIn(
                $row['pocket_id'], $row['lot_id'], $row['quantity'], $row['staged'] ?? null,
            ), $valid['in']),
            $valid['seal_reason'] ?? null,
            $valid['seal_set'] ?? null,
            $this->getContent(),
            array_map(Str::lower(...), $valid['not_found'] ?? []),
            isset($valid['round_id']) ? Str::lower($valid['round_id']) : null,
        );
    }
}
