<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Ledger\PieceCondition;
use App\Stock\ReadStores;
use App\Support\Listing\ListRequest;
use Illuminate\Validation\Rule;

/** Which lots in a store are listed. */
final class StoreListRequest extends ListRequest
{
    public const CONDITIONS = [...PieceCondition::WORDS, ReadStores::APART];

    protected function sorts(): array
    {
        return ['item', 'lot', 'expires', 'quantity'];
    }

    protected function filters(): array
    {
        return [
            'condition' => ['nullable', Rule::in(self::CONDITIONS)],
            'until' => ['nullable', 'date_format:Y-m-d'],
        ];
    }
}
