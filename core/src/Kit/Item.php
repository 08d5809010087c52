<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

use Sarcina\Core\Measure\Quantity;

/** A kind of thing that kits hold. */
final readonly class Item
{
    /**
     * @param  array<string, Quantity>  $size  measures by name, such as width and height
     * @param  list<CompanionNeed>  $needs
     * @param  int  $mass  grams of one piece
     * @param  int|null  $afterOpeningDays  for how many days an opened piece is good; null: it is not used once opened
     * @param  bool  $onlyForTrained  whether it must not be at hand of those whose scope it is beyond
     * @param  bool  $keepsAsReserve  whether a piece past its date may be kept as reserve
     */
    public function __construct(
        public string $code,
        public ItemClass $class,
        public bool $dated,
        public int $mass,
        public array $size,
        public Scope $scope,
        public bool $keepsAsReserve,
        public array $needs,
        public ?string $supersededBy,
        public ?int $afterOpeningDays = null,
        public bool $onlyForTrained = false,
    ) {
    }

    /** Returns the same item without the companions that it needs. */
    public function withoutCompanions(): self
    {
        return $this->needs === [] ? $this : new self(
            $this->code, $this->class, $this->dated, $this->mass, $this->size, $this->scope, $this->keepsAsReserve, [], $this->supersededBy,
            $this->afterOpeningDays, $this->onlyForTrained,
        );
    }
}
