<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Builds\BuildReport;
use App\Builds\BuiltPiece;
use App\Checks\Http\NamesPieces;
use App\Checks\Http\SaysWhen;
use App\Kits\Models\Kit;
use App\Ledger\PieceCondition;
use App\Stock\PutIn;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(
    required: ['store', 'begun_at', 'base', 'pieces', 'in', 'prepared'],
    properties: [
        new OA\Property(property: 'store', type: 'string'),
        new OA\Property(property: 'begun_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'done_at', type: 'string', format: 'date-time', nullable: true),
        new OA\Property(property: 'clock_checked_at', type: 'string', format: 'date-time', nullable: true),
        new OA\Property(property: 'base', ref: '#/components/schemas/Base'),
        new OA\Property(
            property: 'pieces',
            type: 'array',
            description: 'all that was on record in the kit itself: what was found went back, to the store, or was disposed of',
            items: new OA\Items(
                required: ['pocket_id', 'lot_id', 'condition', 'recorded', 'found', 'back', 'to_store', 'discarded'],
                properties: [
                    new OA\Property(property: 'pocket_id', type: 'string'),
                    new OA\Property(property: 'lot_id', type: 'string'),
                    new OA\Property(property: 'condition', type: 'string', enum: ['good', 'opened', 'damaged', 'soiled', 'failed']),
                    new OA\Property(property: 'opened_on', type: 'string', format: 'date', nullable: true),
                    new OA\Property(property: 'recorded', type: 'integer', minimum: 1),
                    new OA\Property(property: 'found', type: 'integer', minimum: 0),
                    new OA\Property(property: 'back', type: 'array', items: new OA\Items(ref: BuildShare::class)),
                    new OA\Property(property: 'to_store', type: 'integer', minimum: 0),
                    new OA\Property(property: 'discarded', type: 'integer', minimum: 0),
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
                ],
            ),
        ),
        new OA\Property(
            property: 'prepared',
            type: 'array',
            description: 'what was to be done to items before they were packed, and whether it was',
            items: new OA\Items(
                required: ['pocket_id', 'item', 'done'],
                properties: [
                    new OA\Property(property: 'pocket_id', type: 'string'),
                    new OA\Property(property: 'item', type: 'string', description: 'its code'),
                    new OA\Property(property: 'done', type: 'boolean'),
                ],
            ),
        ),
        new OA\Property(property: 'weighed_g', type: 'integer', minimum: 1, nullable: true),
        new OA\Property(property: 'weighed_because', type: 'string', nullable: true),
        new OA\Property(property: 'seal_reason', type: 'string', nullable: true),
        new OA\Property(property: 'seal_set', type: 'string', nullable: true),
    ],
)]
final class FinishedBuild extends FormRequest
{
    use KnownKeys, NamesPieces, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $count = ['required', 'integer:strict', 'min:0', 'max:100000'];

        return [
            'store' => ['bail', 'required', 'string', 'exists:stores,id'],
            ...$this->whenRules(),
            'pieces' => ['present', 'array', 'max:500'],
            ...self::pieceRules('pieces.*'),
            // Modules are packed by themselves.
            'pieces.*.pocket_id' => ['required', 'string', 'max:26'],
            'pieces.*.recorded' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'pieces.*.found' => $count,
            'pieces.*.back' => ['present', 'array', 'max:30'],
            'pieces.*.back.*.pocket_id' => ['required', 'string', 'max:26'],
            'pieces.*.back.*.quantity' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'pieces.*.to_store' => $count,
            'pieces.*.discarded' => $count,
            'in' => ['present', 'array', 'max:500'],
            ...self::pieceRules('in.*', false),
            'in.*.pocket_id' => ['required', 'string', 'max:26'],
            'in.*.quantity' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'prepared' => ['present', 'array', 'max:500'],
            'prepared.*.pocket_id' => ['required', 'string', 'max:26'],
            'prepared.*.item' => ['required', 'string', 'max:60'],
            'prepared.*.done' => ['required', 'boolean:strict'],
            'weighed_g' => ['nullable', 'integer:strict', 'between:1,1000000'],
            'weighed_because' => ['nullable', 'string', 'max:200'],
            'seal_reason' => ['nullable', 'string', 'max:200'],
            'seal_set' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->whenMessages(),
            'store.exists' => 'There is no such store.',
            'pieces.*.*' => 'Say how many were found, and where they went: whole numbers.',
            'in.*.quantity.*' => 'Enter how many, a whole number from 1 to 100000.',
            'weighed_g.*' => 'Enter what it weighs in whole grams, or leave it out.',
        ];
    }

    public function report(Kit $kit, string $id): BuildReport
    {
        $id = self::ulid($id);
        /**
         * @var array{
         *     store: string, weighed_g?: int|null, weighed_because?: string|null, seal_reason?: string|null, seal_set?: string|null,
         *     pieces: list<array{
         *         pocket_id: string, lot_id: string, condition: string, opened_on?: string|null, recorded: int, found: int,
         *         back: list<array{pocket_id: string, quantity: int}>, to_store: int, discarded: int,
         *     }>,
         *     in: list<array{pocket_id: string, lot_id: string, quantity: int}>,
         *     prepared: list<array{pocket_id: string, item: string, done: bool}>,
         * } $valid
         */
        $valid = $this->validated();
        self::refuseUnknownPockets($kit, self::pocketsOf($valid['in'], 'in'));
        $pieces = [];
        foreach ($valid['pieces'] as $at => $row) {
            $back = [];
            self::refuseUnknownPockets($kit, self::pocketsOf($row['back'], "pieces.{$at}.back"));
            foreach ($row['back'] as $share) {
                $back[$share['pocket_id']] = ($back[$share['pocket_id']] ?? 0) + $share['quantity'];
            }
            if (array_sum($back) + $row['to_store'] + $row['discarded'] !== $row['found']) {
                throw ValidationException::withMessages(["pieces.{$at}.found" => "{$row['found']} were found: say of each whether it went back, ".
                    'to the store, or was disposed of.']);
            }
            $pieces[] = new BuiltPiece(
                $row['pocket_id'], Str::lower($row['lot_id']), PieceCondition::recorded($row['condition'], $row['opened_on'] ?? null),
                $row['recorded'], $row['found'], $back, $row['to_store'], $row['discarded'],
            );
        }
        if (count(array_unique(array_map(static fn (BuiltPiece $one): string => $one->key(), $pieces))) !== count($pieces)) {
            throw ValidationException::withMessages(['pieces' => 'Pieces of one lot in one pocket are named twice. Open the kit again.']);
        }

        return new BuildReport(
            $id, $kit->id, Str::lower($valid['store']), $this->whenDone(), $this->base(), $pieces,
            array_map(static fn (array $row): PutIn => new PutIn($row['pocket_id'], $row['lot_id'], $row['quantity']), $valid['in']),
            array_map(static fn (array $row): array => [$row['pocket_id'], $row['item'], $row['done']], $valid['prepared']),
            $valid['weighed_g'] ?? null, $valid['weighed_because'] ?? null, $valid['seal_reason'] ?? null, $valid['seal_set'] ?? null,
            $this->getContent(),
        );
    }
}
