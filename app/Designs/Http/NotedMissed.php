<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Accounts\Models\Organisation;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(
    required: ['item', 'left_on', 'note'],
    properties: [
        new OA\Property(property: 'item', type: 'string', description: 'its code'),
        new OA\Property(property: 'left_on', type: 'string', format: 'date', description: 'the day on which it was left behind'),
        new OA\Property(property: 'note', type: 'string', description: 'how it was missed'),
    ],
)]
final class NotedMissed extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'item' => ['bail', 'required', 'string', 'exists:items,code'],
            'left_on' => ['bail', 'required', 'date_format:Y-m-d', 'before_or_equal:'.Organisation::current()->today(), 'after:2000-01-01'],
            'note' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'item.exists' => 'There is no such item.',
            'left_on.*' => 'Enter the day on which it was left behind: today, or before.',
            'note.required' => 'Say how it was missed.',
            'note.max' => 'A remark has 200 characters at the most.',
        ];
    }
}
