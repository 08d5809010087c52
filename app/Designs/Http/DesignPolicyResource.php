<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Models\DesignEdition;
use OpenApi\Attributes as OA;

/** How kits of a design are held: what becomes of pieces past their date, and when they are checked. */
#[OA\Schema]
final readonly class DesignPolicyResource
{
    /** @param  list<string>  $seasons */
    public function __construct(
        #[OA\Property(enum: ['strict', 'reserve'])]
        public string $expiry,
        #[OA\Property(description: 'days beyond the next check through which items must be in date')]
        public int $margin_days,
        #[OA\Property(description: 'days after a check is due before it is overdue')]
        public int $grace_days,
        #[OA\Property(nullable: true, description: 'days after which an overdue kit is not ready; null: its interval, 90 days where it has none')]
        public ?int $not_ready_after_days,
        #[OA\Property(enum: ['days', 'weeks', 'months'], nullable: true, description: 'null where checks go by season or event alone')]
        public ?string $every_unit,
        #[OA\Property(nullable: true)]
        public ?int $every_count,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'days of the year on which its kits are checked, MM-DD')]
        public array $seasons,
        #[OA\Property]
        public bool $before_events,
        #[OA\Property]
        public bool $after_use,
    ) {
    }

    public static function of(DesignEdition $edition): self
    {
        return new self(
            $edition->expiry->value, $edition->margin_days, $edition->grace_days, $edition->not_ready_after_days,
            $edition->every_unit, $edition->every_count,
            array_values(array_map(strval(...), $edition->seasons->pluck('month_day')->all())), $edition->before_events, $edition->after_use,
        );
    }
}
