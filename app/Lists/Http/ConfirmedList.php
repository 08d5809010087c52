<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** That an edition is confirmed; and why no line of it is critical, where none is. */
#[OA\Schema(properties: [new OA\Property(property: 'no_critical_because', type: 'string', nullable: true)])]
final class ConfirmedList extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['no_critical_because' => ['nullable', 'string', 'max:200']];
    }

    public function noCriticalBecause(): ?string
    {
        $because = $this->validated('no_critical_because');

        return is_string($because) ? $because : null;
    }
}
