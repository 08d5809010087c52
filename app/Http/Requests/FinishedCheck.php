<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\CheckReport;
use App\Models\Kit;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['kit', 'kind', 'started_at', 'base', 'rows', 'signed'], properties: [
    new OA\Property(property: 'kit', type: 'string', description: 'the code on the kit'),
    new OA\Property(property: 'kind', type: 'string', enum: ['full', 'quick']),
    new OA\Property(property: 'started_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'base', type: 'integer', description: 'the kit\'s last movement when the check was begun'),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/CountedRow')),
    new OA\Property(property: 'signed', type: 'string', description: 'the checker\'s name, typed'),
    new OA\Property(property: 'seal_found', type: 'string', nullable: true),
    new OA\Property(property: 'seal_set', type: 'string', nullable: true),
    new OA\Property(property: 'seal_reason', type: 'string', nullable: true),
    new OA\Property(property: 'note', type: 'string', nullable: true),
])]
final class FinishedCheck extends FormRequest
{
    use CountedRows, KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kit' => ['bail', 'required', 'string', 'max:20', 'exists:kits,code'],
            'kind' => ['required', Rule::in(['full', 'quick'])],
            'started_at' => ['required', 'string', 'date', 'before_or_equal:+10 minutes'],
            'base' => ['required', 'integer:strict', 'min:0'],
            'signed' => ['required', 'string', 'max:120'],
            'seal_found' => ['nullable', 'string', 'max:60'],
            'seal_set' => ['nullable', 'string', 'max:40'],
            'seal_reason' => ['nullable', 'string', 'max:200'],
            'note' => ['nullable', 'string', 'max:500'],
            ...$this->rowRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kit.exists' => 'There is no kit with this code.',
            'signed.required' => 'Type your name to sign the check.',
            'note.max' => 'A note has 500 characters at the most.',
            'started_at.before_or_equal' => 'This check begins in the future; set this device\'s clock.',
        ];
    }

    public function report(string $id): CheckReport
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of a check is a ULID.']);
        }
        /** @var array{kit: string, kind: string, started_at: string, base: int, signed: string, seal_found?: string|null, seal_set?: string|null, seal_reason?: string|null, note?: string|null} $valid */
        $valid = $this->validated();
        $kit = Kit::query()->where('code', $valid['kit'])->firstOrFail();

        return new CheckReport(
            Str::lower($id), $kit->id, $valid['kind'], CarbonImmutable::parse($valid['started_at']), $valid['base'], $this->countedRows($kit), $valid['signed'],
            $valid['seal_found'] ?? null, $valid['seal_set'] ?? null, $valid['seal_reason'] ?? null, $valid['note'] ?? null,
        );
    }
}
