<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(
    required: ['outcome'],
    properties: [new OA\Property(property: 'outcome', type: 'string', enum: ['put_back', 'nothing_moved'])],
)]
final class EndedBuild extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['outcome' => ['required', 'in:put_back,nothing_moved']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['outcome.*' => 'Say whether nothing was taken out, or everything lies again where it is on record.'];
    }
}
