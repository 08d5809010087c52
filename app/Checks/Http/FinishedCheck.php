<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Checks\CheckReport;
use App\Checks\ModuleAtCheck;
use App\Kits\Models\Kit;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: ['kit', 'kind', 'begun_at', 'base', 'rows', 'signed'],
        properties: [
            new OA\Property(property: 'kit', type: 'string', description: 'the code on the kit'),
            new OA\Property(property: 'kind', type: 'string', enum: ['full', 'quick']),
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
            new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/CountedRow')),
            new OA\Property(
                property: 'answered',
                type: 'array',
                description: 'of a full check: codes of the lines that were looked at; all, but for modules that stayed closed',
                items: new OA\Items(type: 'string'),
            ),
            new OA\Property(property: 'signed', type: 'string', description: 'the checker\'s name, typed'),
            new OA\Property(
                property: 'signed_because', type: 'string', nullable: true,
                description: 'why, where the name is neither the account\'s nor its initials',
            ),
            new OA\Property(property: 'seal_found', type: 'string', nullable: true),
            new OA\Property(property: 'seal_set', type: 'string', nullable: true),
            new OA\Property(property: 'seal_reason', type: 'string', nullable: true),
            new OA\Property(property: 'note', type: 'string', nullable: true),
            new OA\Property(
                property: 'modules',
                type: 'array',
                description: 'modules in the kit; those that are not named were opened',
                items: new OA\Items(
                    required: ['code', 'relied'],
                    properties: [
                        new OA\Property(property: 'code', type: 'string'),
                        new OA\Property(property: 'relied', type: 'boolean', description: 'its seal was found whole, and it was not opened'),
                        new OA\Property(property: 'seal_found', type: 'string', nullable: true, description: 'as it was read on the module'),
                        new OA\Property(property: 'seal_set', type: 'string', nullable: true),
                    ],
                ),
            ),
        ],
    ),
]
final class FinishedCheck extends FormRequest
{
    use CountedRows, KnownKeys, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kit' => ['bail', 'required', 'string', 'max:20'],
            'kind' => ['required', Rule::in(['full', 'quick'])],
            ...$this->whenRules(),
            'signed' => ['required', 'string', 'max:120'],
            'signed_because' => ['nullable', 'string', 'max:200'],
            'seal_found' => ['nullable', 'string', 'max:60'],
            'seal_set' => ['nullable', 'string', 'max:40'],
            'seal_reason' => ['nullable', 'string', 'max:200'],
            'note' => ['nullable', 'string', 'max:500'],
            'answered' => ['required_if:kind,full', 'array', 'max:500'],
            'answered.*' => ['string', 'max:100'],
            'modules' => ['array', 'max:50'],
            'modules.*.code' => ['required', 'string', 'max:20'],
            'modules.*.relied' => ['required', 'boolean'],
            'modules.*.seal_found' => ['nullable', 'string', 'max:60'],
            'modules.*.seal_set' => ['nullable', 'string', 'max:40'],
            ...$this->rowRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'signed.required' => 'Type your name to sign the check.',
            'answered.required_if' => 'Say of each line that it was looked at.',
            'note.max' => 'A note has 500 characters at the most.',
            ...$this->whenMessages(),
        ];
    }

    public function report(string $id): CheckReport
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of a check is a ULID.']);
        }
        /**
         * @var array{
         *     kit: string, kind: string, signed: string, seal_found?: string|null, seal_set?: string|null,
         *     seal_reason?: string|null, note?: string|null, answered?: list<string>,
         *     modules?: list<array{code: string, relied: bool, seal_set?: string|null, seal_found?: string|null}>,
         *     signed_because?: string|null,
         * } $valid
         */
        $valid = $this->validated();
        $kit = Kit::coded($valid['kit'])
            ?? throw ValidationException::withMessages(['kit' => 'There is no kit with this code.']);

        return new CheckReport(
            Str::lower($id), $kit->id, $valid['kind'], $this->whenDone(), $this->base(),
            $this->countedRows($kit, $this->base()->isBefore($kit->last_operation)), $valid['signed'],
            $valid['seal_found'] ?? null, $valid['seal_set'] ?? null, $valid['seal_reason'] ?? null, $valid['note'] ?? null, $this->getContent(),
            array_map(static fn (array $module): ModuleAtCheck => new ModuleAtCheck(
                $module['code'], $module['relied'], $module['seal_set'] ?? null, $module['seal_found'] ?? null,
            ), $valid['modules'] ?? []),
            $valid['kind'] === 'full' ? array_values($valid['answered'] ?? []) : null,
            $valid['signed_because'] ?? null,
        );
    }
}
