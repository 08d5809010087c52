<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Listing\ListRequest;
use Illuminate\Validation\Rule;

/** Which lists and editions are listed. */
final class ListListRequest extends ListRequest
{
    protected function sorts(): array
    {
        return ['title', 'code', 'confirmed'];
    }

    protected function filters(): array
    {
        return [
            'group' => ['nullable', Rule::in(['starter', 'house', 'module'])],
            'confirmed' => ['nullable', Rule::in(['yes', 'no'])],
            'edition' => ['nullable', Rule::in(['latest'])],
        ];
    }
}
