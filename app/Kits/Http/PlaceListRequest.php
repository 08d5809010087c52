<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Listing\ListRequest;

/** Which places are listed. */
final class PlaceListRequest extends ListRequest
{
    protected function sorts(): array
    {
        return ['walk'];
    }

    protected function filters(): array
    {
        return ['id' => ['nullable', 'ulid']];
    }
}
