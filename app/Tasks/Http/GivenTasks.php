<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Accounts\Http\AccountRef;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class GivenTasks
{
    /**
     * @param  list<GivenTask>  $tasks
     * @param  list<PlannedWork>  $plan
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: GivenTask::class))]
        public array $tasks,
        #[OA\Property]
        public int $in_all,
        #[OA\Property(nullable: true, description: 'who answers for the kit that was asked for')]
        public ?AccountRef $responsible = null,
        #[OA\Property(nullable: true, description: 'who does while they are away')]
        public ?AccountRef $deputy = null,
        #[OA\Property(description: 'whether who asks may give work on it')]
        public bool $may_give = false,
        #[OA\Property(items: new OA\Items(ref: PlannedWork::class), description: 'given tasks of plans, where no kit was asked for')]
        public array $plan = [],
    ) {
    }
}
