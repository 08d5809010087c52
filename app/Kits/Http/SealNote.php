<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Checks\Http\SaysWhen;
use App\Kits\Models\Kit;
use App\Kits\SealReport;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['event', 'begun_at', 'base'], properties: [
    new OA\Property(property: 'event', type: 'string', enum: ['set', 'broken']),
    new OA\Property(property: 'seal_number', type: 'string', nullable: true, description: 'of the seal that was set'),
    new OA\Property(property: 'reason', type: 'string', nullable: true, description: 'why the seal was broken'),
    new OA\Property(property: 'begun_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'done_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'clock_checked_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'base', ref: '#/components/schemas/Base'),
])]
final class SealNote extends FormRequest
{
    use KnownKeys, SaysWhen;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'event' => ['required', Rule::in(['set', 'broken'])],
            'seal_number' => ['nullable', 'required_if:event,set', 'string', 'max:40'],
            'reason' => ['nullable', 'required_if:event,broken', 'string', 'max:200'],
            ...$this->whenRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->whenMessages(),
            'seal_number.required_if' => 'Enter the number of the seal that you set.',
            'seal_number.max' => 'Seal number: at most 40 characters.',
            'reason.required_if' => 'Say in writing why the seal is broken, such as "found broken" or "opened to look for shears".',
            'reason.max' => 'Reason: at most 200 characters.',
        ];
    }

    public function report(Kit $kit, string $id): SealReport
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of an operation is a ULID.']);
        }
        $isSet = $this->validated('event') === 'set';

        return new SealReport(
            Str::lower($id),
            $kit->id,
            $this->whenDone(),
            $this->base(),
            $isSet,
            $isSet ? (string) $this->validated('seal_number') : (string) $this->validated('reason'),
        );
    }
}
