<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Role;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'role'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['lead', 'keeper', 'member', 'auditor']),
])]
final class ChangedAccount extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120'], 'role' => ['required', Rule::enum(Role::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Enter the name, as colleagues know them.', 'role.*' => 'Choose what they may do.'];
    }
}
