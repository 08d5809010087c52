<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'reason', 'ends_on'], properties: [
    new OA\Property(property: 'name', type: 'string', description: 'what is otherwise'),
    new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'ends_on', type: 'string', format: 'date'),
])]
final class MadeException extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'reason' => ['required', 'string', 'max:300'],
            'ends_on' => ['required', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Say in at most 80 characters what is otherwise in this kit, such as "No whistle".',
            'reason.*' => 'Say why, in at most 300 characters.',
            'ends_on.*' => 'Choose the day on which it ends.',
        ];
    }
}
