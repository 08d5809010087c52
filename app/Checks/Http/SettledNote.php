<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Checks\SettlePieces;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['note'], properties: [
    new OA\Property(
        property: 'where', type: 'string', enum: SettlePieces::WAYS, nullable: true, description: 'where the pieces are, of an entry that has some',
    ),
    new OA\Property(property: 'note', type: 'string', maxLength: 300, description: 'what was done about it'),
])]
final class SettledNote extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['where' => ['sometimes', 'nullable', Rule::in(SettlePieces::WAYS)], 'note' => ['required', 'string', 'max:300']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.required' => 'Say what you found and did.', 'note.max' => 'A note: at most 300 characters.'];
    }
}
