<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** An assessment in the list of all. */
#[OA\Schema]
final readonly class AssessmentSummary
{
    /**
     * @param  list<string>  $asks_again
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $started_on,
        #[OA\Property]
        public ?string $signed,
        #[OA\Property]
        public ?string $signed_on,
        #[OA\Property(enum: ['least', 'full'])]
        public ?string $chosen,
        #[OA\Property]
        public ?string $review_on,
        #[OA\Property]
        public int $areas,
        #[OA\Property]
        public int $open_tasks,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $asks_again,
    ) {
    }
}
