<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** A kit in a list. */
#[OA\Schema]
final readonly class KitRow
{
    /**
     * @param  list<string>  $reasons
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $design_name,
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property(
            enum: Verdict::class,
            nullable: true,
            description: 'null while it is being judged again',
        )]
        public ?string $verdict,
        #[OA\Property]
        public ?string $due_on,
        #[OA\Property(enum: ['full', 'quick'])]
        public ?string $due_kind,
        #[OA\Property]
        public int $overdue_days,
        #[OA\Property]
        public ?string $last_full_on,
        #[OA\Property]
        public bool $wants_restock,
        #[OA\Property(enum: ['intact', 'broken', 'none'])]
        public string $seal,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
        #[OA\Property(enum: ['check', 'restock', 'build', 'report', 'people'], nullable: true, description: 'the action that is offered; null: none')]
        public ?string $job,
        #[OA\Property(nullable: true, description: 'the last day through which this holds by the calendar alone; null: no day changes it')]
        public ?string $holds_through,
    ) {
    }
}
