<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['configuration'], properties: [
    new OA\Property(property: 'configuration', type: 'string', nullable: true, description: 'its name; null: none'),
])]
final class ChosenConfiguration extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['configuration' => ['present', 'nullable', 'string', 'max:60']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['configuration.*' => 'Choose a configuration of its design, or none.'];
    }

    public function name(): ?string
    {
        return $this->string('configuration')->value() ?: null;
    }
}
