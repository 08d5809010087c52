<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[OA\Schema(required: ['code', 'name', 'place_id', 'scope'], properties: [
    new OA\Property(property: 'code', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'place_id', type: 'string'),
    new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
])]
final class ChangedKit extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'code' => ['required', 'string', 'regex:/^[A-Z0-9][A-Z0-9-]{1,19}$/'],
            'name' => ['required', 'string', 'max:120'],
            'place_id' => ['bail', 'required', 'string', 'exists:places,id'],
            'scope' => ['required', Rule::enum(Scope::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_intersect_key((new NewKit)->messages(), array_flip(['code.required', 'code.regex', 'name.required', 'place_id.*']));
    }
}
