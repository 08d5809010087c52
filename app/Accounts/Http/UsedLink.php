<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\Organisation;
use App\Accounts\StrongPassword;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['password'], properties: [
    new OA\Property(property: 'name', type: 'string', nullable: true, description: 'of an invitation: as colleagues know them'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class UsedLink extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['nullable', 'string', 'max:120'],
            'password' => ['required', 'string', new StrongPassword([$this->string('name')->value(), Organisation::current()->name])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'A name has 120 characters at the most.', 'password.required' => 'Choose a password.'];
    }
}
