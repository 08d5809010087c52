<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['on_day', 'reason'], properties: [
    new OA\Property(property: 'on_day', type: 'string', format: 'date', description: 'from which its kits are asked for it'),
    new OA\Property(property: 'reason', type: 'string'),
])]
final class BegunLine extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on_day' => ['required', 'date_format:Y-m-d'], 'reason' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['on_day.*' => 'Choose the day from which it is asked for.', 'reason.*' => 'Say what has begun, in at most 200 characters.'];
    }
}
