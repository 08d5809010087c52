<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['module'], properties: [
    new OA\Property(property: 'module', type: 'string', description: 'the code of a module that is in no kit'),
])]
final class AddedModule extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['module' => ['required', 'string', 'exists:kits,code']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['module.*' => 'There is no module with this code.'];
    }
}
