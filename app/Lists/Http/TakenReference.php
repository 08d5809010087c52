<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['all_items', 'lists'], properties: [
    new OA\Property(property: 'all_items', type: 'boolean', description: 'the whole catalogue; else what the lists name'),
    new OA\Property(property: 'lists', type: 'array', items: new OA\Items(type: 'string'), description: 'their codes'),
])]
final class TakenReference extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'all_items' => ['required', 'boolean:strict'],
            'lists' => ['present', 'array', 'max:100'],
            'lists.*' => ['string', 'max:60'],
        ];
    }

    /** @return list<string> */
    public function lists(): array
    {
        /** @var array{lists: list<string>} $valid */
        $valid = $this->validated();

        return array_values($valid['lists']);
    }
}
