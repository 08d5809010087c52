<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class GivenTasks
{
    /** @param  list<GivenTask>  $tasks */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: GivenTask::class))]
        public array $tasks,
        #[OA\Property]
        public int $in_all,
    ) {
    }
}
