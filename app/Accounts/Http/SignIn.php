<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['email', 'password'], properties: [
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
    new OA\Property(property: 'code', type: 'string', nullable: true, description: 'of the second factor, or a recovery code'),
])]
final class SignIn extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:190'], 'password' => ['required', 'string', 'max:200'], 'code' => ['nullable',
            'string', 'max:40']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Enter your email address.',
            'email.email' => 'An email address has a name, an @ and a place, such as name@place.example.',
            'password.required' => 'Enter your password.',
        ];
    }
}
