<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Role;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'email', 'role', 'by_mail'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['lead', 'keeper', 'member', 'auditor']),
    new OA\Property(property: 'by_mail', type: 'boolean', description: 'else the link is handed over'),
])]
final class NewInvitation extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'role' => ['required', Rule::enum(Role::class)],
            'by_mail' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Enter the name, as colleagues know them.',
            'email.unique' => 'There is an account with this address already.',
            'email.*' => 'An email address has a name, an @ and a place, such as name@place.example.',
            'role.*' => 'Choose what they may do.',
        ];
    }
}
