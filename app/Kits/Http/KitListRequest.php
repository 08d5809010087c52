<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Listing\ListRequest;
use Illuminate\Validation\Rule;
use Sarcina\Core\Check\Verdict;

/** Which kits are listed. */
final class KitListRequest extends ListRequest
{
    protected function sorts(): array
    {
        return ['walk', 'code', 'due', 'band'];
    }

    protected function filters(): array
    {
        return [
            'place' => ['nullable', 'ulid'],
            'verdict' => ['nullable', Rule::enum(Verdict::class)],
            'work' => ['nullable', Rule::in(['check_due', 'check_later', 'check_none', 'restock'])],
        ];
    }
}
