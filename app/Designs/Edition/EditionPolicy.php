<?php

declare(strict_types=1);

namespace App\Designs\Edition;

use App\Designs\Models\DesignEdition;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Packing\Wrappers;

/** What an edition of a design asks of its kits beside their contents: mass, dates and when they are checked. */
final readonly class EditionPolicy
{
    /**
     * @param  int|null  $emptyMass  grams of the empty bag; null: nobody weighed it
     * @param  int|null  $maxMass  grams; null: no limit
     * @param  int|null  $maxVolume  millilitres
     * @param  int|null  $maxCost  whole minor units
     * @param  bool  $latexFree  whether somebody of the team is allergic to latex
     * @param  Wrappers|null  $wrappers  of what must be fast; null: nobody chose
     * @param  string|null  $everyUnit  months, weeks or days; null where checks go by season or event alone
     * @param  int|null  $notReadyAfterDays  days after which an overdue kit is not ready; null: its interval, 90 days where it has none
     */
    public function __construct(
        public ?int $emptyMass = null,
        public ?int $maxMass = null,
        public ExpiryPolicy $expiry = ExpiryPolicy::Strict,
        public int $marginDays = 14,
        public int $graceDays = 0,
        public ?string $everyUnit = null,
        public ?int $everyCount = null,
        public bool $beforeEvents = false,
        public bool $afterUse = true,
        public bool $sealed = false,
        public ?int $maxVolume = null,
        public ?int $maxCost = null,
        public bool $latexFree = false,
        public ?Wrappers $wrappers = null,
        public ?int $notReadyAfterDays = null,
    ) {
    }

    public static function of(DesignEdition $edition): self
    {
        return new self(
            $edition->empty_mass_g, $edition->max_mass_g, $edition->expiry, $edition->margin_days, $edition->grace_days,
            $edition->every_unit, $edition->every_count, $edition->before_events, $edition->after_use, $edition->sealed,
            $edition->max_volume_ml, $edition->max_cost, $edition->latex_free, $edition->wrappers,
            $edition->not_ready_after_days,
        );
    }

    /** @return array<string, bool|int|string|null> of the table of editions */
    public function columns(): array
    {
        return [
            'empty_mass_g' => $this->emptyMass, 'max_mass_g' => $this->maxMass, 'expiry' => $this->expiry->value,
            'margin_days' => $this->marginDays, 'grace_days' => $this->graceDays, 'every_unit' => $this->everyUnit,
            'every_count' => $this->everyCount, 'before_events' => $this->beforeEvents, 'after_use' => $this->afterUse, 'sealed' => $this->sealed,
            'max_volume_ml' => $this->maxVolume, 'max_cost' => $this->maxCost, 'latex_free' => $this->latexFree,
            'wrappers' => $this->wrappers?->value, 'not_ready_after_days' => $this->notReadyAfterDays,
        ];
    }
}
