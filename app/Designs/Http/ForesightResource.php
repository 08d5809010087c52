<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/** What a design that is being packed makes: its lines, loads, advice, and what stands in the way of publishing it. */
#[OA\Schema]
final readonly class ForesightResource
{
    /**
     * @param  list<string>  $faults
     * @param  list<ForeseenLine>  $lines
     * @param  list<ForeseenLoad>  $loads
     * @param  list<ForeseenAdvice>  $advice
     * @param  list<MayLeaveOut>  $leave_out
     */
    public function __construct(
        #[OA\Property]
        public ListRef $list,
        #[OA\Property]
        public string $currency,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $faults,
        #[OA\Property(items: new OA\Items(ref: ForeseenLine::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: ForeseenLoad::class))]
        public array $loads,
        #[OA\Property(items: new OA\Items(ref: ForeseenAdvice::class))]
        public array $advice,
        #[OA\Property(items: new OA\Items(ref: MayLeaveOut::class), description: 'what frees most first')]
        public array $leave_out,
    ) {
    }
}
