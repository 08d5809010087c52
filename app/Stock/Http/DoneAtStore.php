<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Checks\CountedRow;
use App\Checks\Http\SaysWhen;
use App\Ledger\PieceCondition;
use App\Stock\Models\Store;
use App\Stock\ShelfRow;
use App\Stock\StoreReport;
use App\Stock\StoreTask;
use App\Support\Http\KnownKeys;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;

#[OA\Schema(required: ['kind', 'begun_at', 'base', 'rows'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: [
        'receive', 'count', 'dispose', 'move', 'set_apart', 'release', 'lend', 'borrow', 'repack',
    ]),
    new OA\Property(property: 'begun_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'done_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'clock_checked_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'base', ref: '#/components/schemas/Base'),
    new OA\Property(property: 'to_store', type: 'string', nullable: true, description: 'where pieces are moved to'),
    new OA\Property(property: 'reason', type: 'string', nullable: true),
    new OA\Property(property: 'supplier', type: 'string', nullable: true),
    new OA\Property(property: 'delivery_note', type: 'string', nullable: true),
    new OA\Property(property: 'partner', type: 'string', nullable: true, description: 'a team or organisation that lends or borrows'),
    new OA\Property(property: 'due_on', type: 'string', format: 'date', nullable: true, description: 'until when it is lent'),
    new OA\Property(property: 'recall', type: 'boolean', description: 'of pieces that are set apart: their lots are recalled and count nowhere'),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(required: ['item', 'lot', 'expires', 'quantity'], properties: [
        new OA\Property(property: 'item', type: 'string'),
        new OA\Property(property: 'lot', type: 'string', nullable: true),
        new OA\Property(property: 'expires', type: 'string', nullable: true),
        new OA\Property(property: 'quantity', type: 'integer', minimum: 0),
        new OA\Property(property: 'condition', type: 'string', enum: PieceCondition::WORDS),
        new OA\Property(property: 'opened_on', type: 'string', format: 'date', nullable: true),
        new OA\Property(property: 'new_lot', type: 'boolean'),
        new OA\Property(property: 'packs', type: 'integer', nullable: true),
        new OA\Property(property: 'price', type: 'integer', nullable: true, description: 'of one pack, in minor units'),
        new OA\Property(property: 'price_checked', type: 'boolean', description: 'far below what is usual, and the goods are genuine all the same'),
    ])),
])]
final class DoneAtStore extends FormRequest
{
    use KnownKeys, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $isCount = $this->input('kind') === StoreTask::Count->value;

        return [
            'kind' => ['required', Rule::enum(StoreTask::class)],
            ...$this->whenRules(),
            'to_store' => ['bail', 'nullable', 'required_if:kind,move', 'prohibited_unless:kind,move', 'string', 'exists:stores,id'],
            'reason' => ['nullable', 'required_if:kind,dispose,set_apart,release,repack', 'string', 'max:300'],
            'supplier' => ['nullable', 'prohibited_unless:kind,receive', 'string', 'max:120'],
            'delivery_note' => ['nullable', 'prohibited_unless:kind,receive', 'string', 'max:60'],
            'partner' => ['nullable', 'required_if:kind,lend,borrow', 'prohibited_unless:kind,lend,borrow', 'string', 'max:120'],
            'due_on' => ['nullable', 'required_if:kind,lend,borrow', 'prohibited_unless:kind,lend,borrow', 'date_format:Y-m-d'],
            'recall' => ['sometimes', 'boolean:strict', 'prohibited_unless:kind,set_apart'],
            'rows' => ['required', 'array', 'min:1', 'max:300'],
            'rows.*' => ['array:item,lot,expires,quantity,condition,opened_on,new_lot,packs,price,price_checked'],
            'rows.*.item' => ['required', 'string', 'max:60'],
            'rows.*.lot' => ['nullable', 'string', 'max:60'],
            'rows.*.expires' => ['nullable', 'string', $this->printedDate(...)],
            'rows.*.quantity' => ['required', 'integer:strict', $isCount ? 'min:0' : 'min:1', 'max:100000'],
            'rows.*.condition' => ['nullable', Rule::in(PieceCondition::WORDS)],
            'rows.*.opened_on' => ['nullable', 'date_format:Y-m-d', 'prohibited_unless:rows.*.condition,opened'],
            'rows.*.new_lot' => ['boolean'],
            'rows.*.packs' => ['nullable', 'prohibited_unless:kind,receive', 'integer:strict', 'min:1', 'max:100000'],
            'rows.*.price' => ['nullable', 'prohibited_unless:kind,receive', 'integer:strict', 'min:0', 'max:100000000'],
            'rows.*.price_checked' => ['boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->whenMessages(),
            'to_store.*' => 'Choose the store where the pieces go.',
            'reason.required_if' => match ($this->input('kind')) {
                'set_apart' => 'Say why they are set apart, such as "wrapper looks tampered with".',
                'release' => 'Say what was looked at, such as "cleaned and tried".',
                'repack' => 'Say into what they are repacked, such as "screw-top jar".',
                default => 'Say why the pieces are disposed of.',
            },
            'partner.*' => 'Say with which team or organisation, in at most 120 characters.',
            'due_on.*' => 'Say until when, as a day.',
            'reason.max' => 'A reason has 300 characters at the most.',
            'rows.required' => 'Nothing was entered. Add at least one item.',
            'rows.*.array' => 'This row has a key that is not known here.',
            'rows.max' => 'At most 300 rows at a time.',
            'rows.*.item.*' => 'Choose an item.',
            'rows.*.quantity.*' => 'Enter how many pieces, a whole number up to 100000.',
            'rows.*.packs.*' => 'Enter how many packs, a whole number.',
            'rows.*.price.*' => 'Enter what one pack costs, such as 4.50.',
        ];
    }

    public function report(Store $store, string $id): StoreReport
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of what is recorded is a ULID.']);
        }
        /**
         * @var array{
         *     kind: string, to_store?: string|null, reason?: string|null, supplier?: string|null, delivery_note?: string|null, partner?: string|null,
         *     due_on?: string|null, recall?: bool,
         *     rows: list<array<string, mixed>>,
         * } $valid
         */
        $valid = $this->validated();
        $to = isset($valid['to_store']) ? Str::lower($valid['to_store']) : null;
        if ($to === $store->id) {
            throw ValidationException::withMessages(['to_store' => 'The pieces are in this store already. Choose another one.']);
        }

        return new StoreReport(
            Str::lower($id), StoreTask::from($valid['kind']), $store->id, $this->whenDone(), $this->base(),
            array_map(self::row(...), array_values($valid['rows'])), $to, self::text($valid['reason'] ?? null),
            self::text($valid['supplier'] ?? null), self::text($valid['delivery_note'] ?? null), self::text($valid['partner'] ?? null),
            $valid['due_on'] ?? null, $valid['recall'] ?? false,
        );
    }

    /** @param  array<string, mixed>  $row */
    private static function row(array $row): ShelfRow
    {
        $whole = static fn (mixed $number): ?int => is_int($number) ? $number : null;

        return new ShelfRow(
            new CountedRow(
                '', is_string($row['item']) ? $row['item'] : '', self::text($row['lot'] ?? null), self::text($row['expires'] ?? null),
                (int) $whole($row['quantity']),
                PieceCondition::recorded(self::text($row['condition'] ?? null) ?? 'good', self::text($row['opened_on'] ?? null)),
                ($row['new_lot'] ?? false) === true,
            ),
            $whole($row['packs'] ?? null), $whole($row['price'] ?? null), ($row['price_checked'] ?? false) === true,
        );
    }

    private static function text(mixed $text): ?string
    {
        return is_string($text) && trim($text) !== '' ? trim($text) : null;
    }

    private function printedDate(string $field, mixed $value, Closure $fail): void
    {
        try {
            PrintedDate::of(is_string($value) ? $value : '');
        } catch (NotADay) {
            $fail('There is no such day or month. Type the date as a year and month, such as 2027-03, or a day, such as 2027-03-31.');
        }
    }
}
