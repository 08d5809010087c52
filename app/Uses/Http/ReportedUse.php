<?php

declare(strict_types=1);

namespace App\Uses\Http;

use App\Checks\Http\NamesPieces;
use App\Checks\Http\SaysWhen;
use App\Kits\Models\Kit;
use App\Ledger\PieceCondition;
use App\Support\Http\KnownKeys;
use App\Uses\TakenPiece;
use App\Uses\UseReport;
use App\Uses\WhyTaken;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Condition;

#[OA\Schema(
    required: ['begun_at', 'base', 'taken'],
    properties: [
        new OA\Property(property: 'begun_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'done_at', type: 'string', format: 'date-time', nullable: true),
        new OA\Property(property: 'clock_checked_at', type: 'string', format: 'date-time', nullable: true),
        new OA\Property(property: 'base', ref: '#/components/schemas/Base'),
        new OA\Property(
            property: 'taken',
            type: 'array',
            items: new OA\Items(
                required: ['pocket_id', 'lot_id', 'condition', 'quantity', 'why'],
                properties: [
                    new OA\Property(property: 'pocket_id', type: 'string'),
                    new OA\Property(property: 'lot_id', type: 'string'),
                    new OA\Property(property: 'condition', type: 'string', enum: ['good', 'opened', 'damaged', 'soiled', 'failed']),
                    new OA\Property(property: 'opened_on', type: 'string', format: 'date', nullable: true),
                    new OA\Property(property: 'quantity', type: 'integer', minimum: 1),
                    new OA\Property(property: 'why', type: 'string', enum: ['used', 'training', 'given', 'lost', 'moved']),
                    new OA\Property(property: 'opened', type: 'boolean', description: 'opened now, and some of it is left in the kit'),
                    new OA\Property(property: 'to_kit', type: 'string', nullable: true, description: 'where it was moved: the code of the kit'),
                ],
            ),
        ),
        new OA\Property(property: 'note', type: 'string', nullable: true, description: 'what happened; nothing about a person'),
        new OA\Property(property: 'seal_reason', type: 'string', nullable: true),
        new OA\Property(
            property: 'handed_back_by',
            type: 'string',
            nullable: true,
            description: 'signed at the end of a shift: then nothing taken is an answer too',
        ),
        new OA\Property(property: 'report_id', type: 'string', nullable: true, description: 'the report of use that this confirms'),
    ],
)]
final class ReportedUse extends FormRequest
{
    use KnownKeys, NamesPieces, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->whenRules(),
            // Nothing is an answer at the end of a shift, and none to somebody who reported something used.
            'taken' => [$this->filled('handed_back_by') && ! $this->filled('report_id') ? 'present' : 'required', 'array', 'max:200'],
            'handed_back_by' => ['nullable', 'string', 'max:120'],
            ...self::pieceRules('taken.*'),
            'taken.*.quantity' => ['required', 'integer:strict', 'min:1', 'max:100000'],
            'taken.*.why' => ['required', Rule::enum(WhyTaken::class)],
            'taken.*.opened' => ['boolean:strict'],
            'taken.*.to_kit' => ['nullable', 'string', 'max:20', 'required_if:taken.*.why,moved', 'prohibited_unless:taken.*.why,moved'],
            'note' => ['nullable', 'string', 'max:300'],
            'seal_reason' => ['nullable', 'string', 'max:200'],
            'report_id' => ['nullable', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->whenMessages(),
            'taken.required' => 'Say what was taken.',
            'taken.*.quantity.*' => 'Enter how many, a whole number from 1 to 100000.',
            'taken.*.to_kit.*' => 'Say which kit it was moved to, by the code on its label.',
            'note.max' => 'A note has 300 characters at the most.',
        ];
    }

    public function report(Kit $kit, string $id): UseReport
    {
        $id = self::ulid($id);
        /**
         * @var array{taken: list<array{
         *     pocket_id: string, lot_id: string, condition: string, opened_on?: string|null, quantity: int, why: string, opened?: bool,
         *     to_kit?: string|null,
         * }>, note?: string|null, seal_reason?: string|null, report_id?: string|null, handed_back_by?: string|null} $valid
         */
        $valid = $this->validated();
        self::refuseUnknownPockets($kit, self::pocketsOf($valid['taken'], 'taken'));
        $taken = [];
        foreach ($valid['taken'] as $at => $row) {
            if (($row['opened'] ?? false) && ($row['condition'] !== Condition::Good->value || $row['why'] === WhyTaken::Moved->value)) {
                throw ValidationException::withMessages(["taken.{$at}.opened" => 'Only what was good and stays in the kit can be opened.']);
            }
            $taken[] = new TakenPiece(
                $row['pocket_id'], Str::lower($row['lot_id']), PieceCondition::recorded($row['condition'], $row['opened_on'] ?? null),
                $row['quantity'], WhyTaken::from($row['why']), $row['opened'] ?? false, self::other($kit, $row['to_kit'] ?? null, $at),
            );
        }

        return new UseReport(
            $id, $kit->id, $this->whenDone(), $this->base(), $taken, $valid['note'] ?? null, $valid['seal_reason'] ?? null,
            $this->getContent(), isset($valid['report_id']) ? Str::lower($valid['report_id']) : null,
            $valid['handed_back_by'] ?? null,
        );
    }

    private static function other(Kit $kit, ?string $code, int $at): ?string
    {
        if ($code === null) {
            return null;
        }
        $other = Kit::coded($code);
        if ($other === null || $other->id === $kit->id) {
            throw ValidationException::withMessages(["taken.{$at}.to_kit" => $other === null
                ? "There is no kit {$code}. Enter the code on its label."
                : 'That is this kit itself. Enter the code of the other one.']);
        }

        return $other->id;
    }
}
