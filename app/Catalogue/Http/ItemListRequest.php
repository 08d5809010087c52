<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use App\Support\Listing\ListRequest;
use Illuminate\Validation\Rule;
use Sarcina\Core\Kit\Scope;

/** Which items of the catalogue are listed. */
final class ItemListRequest extends ListRequest
{
    protected function sorts(): array
    {
        return ['name', 'code', 'class'];
    }

    protected function filters(): array
    {
        return ['class' => ['nullable', 'string', 'max:120'], 'scope' => ['nullable', Rule::enum(Scope::class)]];
    }
}
