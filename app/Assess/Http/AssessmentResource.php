<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** An assessment with its areas, both plans, and the work that carries it out. */
#[OA\Schema]
final readonly class AssessmentResource
{
    /**
     * @param  list<string>  $asks_again
     * @param  list<AreaResource>  $areas
     * @param  list<string>  $gone
     * @param  list<TotalResource>  $totals
     * @param  list<TaskResource>  $tasks
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: ['headcount', 'class'])]
        public string $scheme,
        #[OA\Property]
        public string $started_by,
        #[OA\Property]
        public string $started_on,
        #[OA\Property(enum: ['least', 'full'])]
        public ?string $chosen,
        #[OA\Property]
        public ?string $signed,
        #[OA\Property]
        public ?string $signed_on,
        #[OA\Property]
        public ?string $review_on,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $asks_again,
        #[OA\Property]
        public ?AssessmentRef $follows,
        #[OA\Property]
        public ?AssessmentRef $followed_by,
        #[OA\Property(description: 'vehicles that no place stands for: signing adds a place for each')]
        public int $vehicles_to_place,
        #[OA\Property(items: new OA\Items(ref: AreaResource::class))]
        public array $areas,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $gone,
        #[OA\Property(items: new OA\Items(ref: TotalResource::class))]
        public array $totals,
        #[OA\Property]
        public int $cost_least,
        #[OA\Property]
        public int $cost_full,
        #[OA\Property]
        public int $unpriced,
        #[OA\Property]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: TaskResource::class))]
        public array $tasks,
    ) {
    }
}
