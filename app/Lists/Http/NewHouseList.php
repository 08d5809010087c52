<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['code', 'title'], properties: [
    new OA\Property(property: 'code', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'from', type: 'string', nullable: true, description: 'the list that it is copied from; left out for an empty one'),
])]
final class NewHouseList extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'code' => ['bail', 'required', 'string', 'regex:/^[a-z0-9][a-z0-9-]{1,59}$/', 'unique:lists,code'],
            'title' => ['required', 'string', 'max:160'],
            'from' => ['nullable', 'string', 'exists:lists,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.required' => 'Give the list a code, such as river-walk.',
            'code.regex' => 'A code has 2 to 60 small letters, digits and hyphens.',
            'code.unique' => 'Another list has this code. Choose one that is free.',
            'title.required' => 'Give the list a title, such as River walk pouch.',
        ];
    }
}
