<?php

declare(strict_types=1);

namespace App\Exchange\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'kind', 'format', 'file_name', 'source'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'a ULID made by the page'),
    new OA\Property(property: 'kind', type: 'string', enum: ['catalogue', 'lists', 'designs', 'kits']),
    new OA\Property(property: 'format', type: 'string', enum: ['json', 'csv']),
    new OA\Property(property: 'file_name', type: 'string'),
    new OA\Property(property: 'source', type: 'string', description: 'the text of the file'),
])]
final class ImportedFile extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'kind' => ['required', 'in:catalogue,lists,designs,kits'],
            'format' => ['required', 'in:json,csv'],
            'file_name' => ['required', 'string', 'max:160'],
            'source' => ['required', 'string', 'max:12000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'source.required' => 'The file is empty.',
            'source.max' => 'The file is too large: at most 12 million characters.',
        ];
    }
}
