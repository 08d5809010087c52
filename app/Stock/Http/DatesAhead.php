<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** What expires in the months ahead, and in one of them piece by piece. */
#[OA\Schema]
final readonly class DatesAhead
{
    /**
     * @param  list<MonthAhead>  $months
     * @param  list<ExpiringRow>  $rows
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: MonthAhead::class), description: 'thirteen, this one first')]
        public array $months,
        #[OA\Property(description: 'the one that is shown piece by piece, as YYYY-MM')]
        public string $month,
        #[OA\Property(items: new OA\Items(ref: ExpiringRow::class), description: 'the first to expire first')]
        public array $rows,
        #[OA\Property]
        public PageOf $page,
        #[OA\Property]
        public string $currency,
    ) {
    }
}
