<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Shifts;
use App\Support\Http\KnownKeys;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;
use Sarcina\Core\Staffing\Shift;

#[
    OA\Schema(
        required: ['shifts'],
        properties: [
            new OA\Property(
                property: 'shifts',
                description: 'all of them, in their order',
                type: 'array',
                items: new OA\Items(
                    required: ['name', 'weekdays', 'from', 'to'],
                    properties: [
                        new OA\Property(property: 'was', type: 'string', nullable: true, description: 'its name before; null for a new one'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(
                            property: 'weekdays',
                            type: 'array',
                            items: new OA\Items(type: 'integer'),
                            description: 'on which it begins: 1 Monday to 7 Sunday',
                        ),
                        new OA\Property(property: 'from', type: 'string', description: 'such as 08:00'),
                        new OA\Property(property: 'to', type: 'string', description: 'such as 16:30; at or before from: on the next day'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class KeptShifts extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'shifts' => ['present', 'array', 'max:30'],
            'shifts.*.was' => ['nullable', 'string', 'distinct'],
            // The database compares names by their letters, whatever their case.
            'shifts.*.name' => ['bail', 'required', 'string', 'max:40', 'distinct:ignore_case', self::readable(...)],
            'shifts.*.weekdays' => ['required', 'array', 'min:1', 'max:7'],
            'shifts.*.weekdays.*' => ['integer', 'between:1,7'],
            'shifts.*.from' => ['required', 'date_format:H:i'],
            'shifts.*.to' => ['required', 'date_format:H:i'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'shifts.*.name.distinct' => 'Two shifts have this name: give each its own.',
            'shifts.*.name.*' => 'Name the shift in at most 40 characters, such as day.',
            'shifts.*.weekdays.*' => 'Choose the days on which it begins.',
            'shifts.*.from.*' => 'Enter when it begins, such as 08:00.',
            'shifts.*.to.*' => 'Enter when it ends, such as 16:30.',
        ];
    }

    /** @return list<array{was: string|null, shift: Shift}> */
    public function shifts(): array
    {
        /** @var list<array{was?: string|null, name: string, weekdays: list<int|string>, from: string, to: string}> $shifts */
        $shifts = $this->validated('shifts');

        return array_map(static fn (array $about): array => [
            'was' => $about['was'] ?? null,
            'shift' => new Shift(
                trim($about['name']),
                array_map(intval(...), array_values($about['weekdays'])),
                Shifts::minutes($about['from']),
                Shifts::minutes($about['to']),
            ),
        ], array_values($shifts));
    }

    private static function readable(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || preg_match('/^[^\p{C}]+$/u', $value) !== 1) {
            $fail('Name the shift in letters and figures.');
        }
    }
}
