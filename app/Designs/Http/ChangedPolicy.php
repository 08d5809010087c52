<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Edition\EditionPolicy;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\ExpiryPolicy;

#[OA\Schema(
    required: [
        'edition', 'expiry', 'margin_days', 'grace_days', 'not_ready_after_days', 'every_unit', 'every_count', 'before_events', 'after_use', 'sealed',
    ],
    properties: [
        new OA\Property(property: 'edition', type: 'string', description: 'the latest edition that was seen'),
        new OA\Property(property: 'expiry', type: 'string', enum: ['strict', 'reserve']),
        new OA\Property(property: 'margin_days', type: 'integer'),
        new OA\Property(property: 'grace_days', type: 'integer'),
        new OA\Property(property: 'not_ready_after_days', type: 'integer', nullable: true),
        new OA\Property(property: 'every_unit', type: 'string', enum: ['days', 'weeks', 'months'], nullable: true),
        new OA\Property(property: 'every_count', type: 'integer', nullable: true),
        new OA\Property(property: 'before_events', type: 'boolean'),
        new OA\Property(property: 'after_use', type: 'boolean'),
        new OA\Property(property: 'sealed', type: 'boolean'),
    ],
)]
final class ChangedPolicy extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'edition' => ['required', 'string'],
            'expiry' => ['required', Rule::enum(ExpiryPolicy::class)],
            'margin_days' => ['required', 'integer:strict', 'between:0,365'],
            'grace_days' => ['required', 'integer:strict', 'between:0,90'],
            'not_ready_after_days' => ['present', 'nullable', 'integer:strict', 'between:0,3650'],
            'every_unit' => ['present', 'nullable', Rule::in(['days', 'weeks', 'months'])],
            'every_count' => ['present', 'nullable', 'required_with:every_unit', 'integer:strict', 'between:1,120'],
            'before_events' => ['required', 'boolean:strict'],
            'after_use' => ['required', 'boolean:strict'],
            'sealed' => ['required', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'edition.*' => 'Load the page again: the edition that you saw is not named.',
            'margin_days.*' => 'Days beyond the next check: 0 to 365.',
            'grace_days.*' => 'Days before a check is overdue: 0 to 90.',
            'not_ready_after_days.*' => 'Days after which an overdue kit is not ready: 0 to 3,650, or nothing for its interval.',
            'every_count.*' => 'From one check to the next: 1 to 120 days, weeks or months.',
        ];
    }

    public function on(EditionPolicy $now): EditionPolicy
    {
        /**
         * @var array{
         *     expiry: string, margin_days: int, grace_days: int, not_ready_after_days: int|null, every_unit: string|null, every_count: int|null,
         *     before_events: bool, after_use: bool, sealed: bool,
         * } $valid
         */
        $valid = $this->validated();

        return new EditionPolicy(
            $now->emptyMass, $now->maxMass, ExpiryPolicy::from($valid['expiry']), $valid['margin_days'], $valid['grace_days'],
            $valid['every_unit'], $valid['every_unit'] === null ? null : $valid['every_count'], $valid['before_events'], $valid['after_use'],
            $valid['sealed'], $now->maxVolume, $now->maxCost, $now->latexFree, $now->wrappers, $valid['not_ready_after_days'],
        );
    }
}
