<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Designs\Edition\EditionPolicy;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Packing\Wrappers;

/** What a design that is being packed asks of its kits beside their contents: limits, dates and when they are checked. */
#[OA\Schema]
final readonly class DraftPolicy
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'of the empty bag; null: nobody weighed it')]
        public ?int $empty_mass_g,
        #[OA\Property(nullable: true)]
        public ?int $max_mass_g,
        #[OA\Property(nullable: true)]
        public ?int $max_volume_ml,
        #[OA\Property(nullable: true, description: 'whole minor units')]
        public ?int $max_cost,
        #[OA\Property(enum: ['strict', 'reserve'])]
        public string $expiry,
        #[OA\Property]
        public int $margin_days,
        #[OA\Property]
        public int $grace_days,
        #[OA\Property(enum: ['days', 'weeks', 'months'], nullable: true)]
        public ?string $every_unit,
        #[OA\Property(nullable: true)]
        public ?int $every_count,
        #[OA\Property]
        public bool $before_events,
        #[OA\Property]
        public bool $after_use,
        #[OA\Property]
        public bool $sealed,
        #[OA\Property(description: 'somebody of the team is allergic to latex')]
        public bool $latex_free,
        #[OA\Property(enum: ['off', 'on'], nullable: true, description: 'of what must be fast; null: nobody chose')]
        public ?string $wrappers,
        #[OA\Property(nullable: true, description: 'days after which an overdue kit is not ready; null: its interval, 90 days where it has none')]
        public ?int $not_ready_after_days,
    ) {
    }

    public static function of(EditionPolicy $policy): self
    {
        return new self(
            $policy->emptyMass, $policy->maxMass, $policy->maxVolume, $policy->maxCost, $policy->expiry->value, $policy->marginDays,
            $policy->graceDays, $policy->everyUnit, $policy->everyCount, $policy->beforeEvents, $policy->afterUse, $policy->sealed,
            $policy->latexFree, $policy->wrappers?->value, $policy->notReadyAfterDays,
        );
    }

    public function content(): EditionPolicy
    {
        return new EditionPolicy(
            $this->empty_mass_g, $this->max_mass_g, ExpiryPolicy::from($this->expiry), $this->margin_days, $this->grace_days, $this->every_unit,
            $this->every_unit === null ? null : $this->every_count, $this->before_events, $this->after_use, $this->sealed, $this->max_volume_ml,
            $this->max_cost, $this->latex_free, $this->wrappers === null ? null : Wrappers::from($this->wrappers),
            $this->not_ready_after_days,
        );
    }
}
