<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['edition'], properties: [
    new OA\Property(property: 'edition', type: 'string', description: 'the id of a published edition'),
])]
final class FollowedEdition extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['edition' => ['required', 'string', 'exists:design_editions,id']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['edition.*' => 'Choose a published edition of a design.'];
    }
}
