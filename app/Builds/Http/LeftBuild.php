<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(
    required: ['version', 'work', 'pockets_packed', 'pockets'],
    properties: [
        new OA\Property(property: 'version', type: 'integer', minimum: 1),
        new OA\Property(property: 'work', type: 'string', description: 'as the page keeps it'),
        new OA\Property(property: 'pockets_packed', type: 'integer', minimum: 0),
        new OA\Property(property: 'pockets', type: 'integer', minimum: 0),
        new OA\Property(property: 'note', type: 'string', nullable: true),
    ],
)]
final class LeftBuild extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict', 'between:1,1000'],
            'work' => ['bail', 'required', 'string', 'max:200000', 'json'],
            'pockets_packed' => ['required', 'integer:strict', 'between:0,1000', 'lte:pockets'],
            'pockets' => ['required', 'integer:strict', 'between:0,1000'],
            'note' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.max' => 'A note has 300 characters at the most.', 'work.max' => 'This is too large to hand over. Finish it on this device.'];
    }
}
