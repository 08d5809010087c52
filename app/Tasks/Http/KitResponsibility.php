<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['responsible_id', 'deputy_id'], properties: [
    new OA\Property(property: 'responsible_id', type: 'string', nullable: true),
    new OA\Property(property: 'deputy_id', type: 'string', nullable: true),
])]
final class KitResponsibility extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'responsible_id' => ['bail', 'present', 'nullable', 'string', 'exists:users,id'],
            'deputy_id' => ['bail', 'present', 'nullable', 'string', 'exists:users,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['responsible_id.*' => 'Choose the responsible person, or nobody.', 'deputy_id.*' => 'Choose the deputy, or nobody.'];
    }

    public function of(string $field): ?string
    {
        $id = $this->validated($field);

        return is_string($id) ? strtolower($id) : null;
    }
}
