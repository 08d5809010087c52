<?php

declare(strict_types=1);

namespace App\Designs\Edition;

/** A compartment as it is written: what it is, where it lies on its leaf, what closes it, the lines that live in it and what lies inside it. */
final readonly class CompartmentContent
{
    /**
     * @param  string  $kind  leaf, pocket, pouch or slot
     * @param  string|null  $id  of the compartment that it was in an earlier edition
     * @param  string|null  $closure  zip, buckle, flap, lid or drawstring
     * @param  list<string>  $properties
     * @param  string|null  $slotDesign  code of the design of the module that a slot asks for
     * @param  list<PlacedLine>  $lines
     * @param  list<self>  $inside
     * @param  int|null  $maxMass  grams that it may carry; null: no limit
     * @param  int|null  $volume  millilitres that it holds; null: not measured
     * @param  list<string>  $lookedFor  codes of lines that people search here and that live elsewhere
     */
    public function __construct(
        public string $kind,
        public string $name,
        public ?string $id = null,
        public int $row = 1,
        public int $column = 1,
        public int $rowSpan = 1,
        public int $columnSpan = 1,
        public ?string $closure = null,
        public bool $isOutside = false,
        public bool $isSealed = false,
        public ?string $caution = null,
        public array $properties = [],
        public ?string $slotDesign = null,
        public array $lines = [],
        public array $inside = [],
        public ?int $maxMass = null,
        public ?int $volume = null,
        public array $lookedFor = [],
    ) {
    }

    /**
     * @param  list<PlacedLine>  $lines
     * @param  list<self>  $inside
     */
    public function with(array $lines, array $inside, ?string $id = null): self
    {
        return new self(
            $this->kind, $this->name, $id ?? $this->id, $this->row, $this->column, $this->rowSpan, $this->columnSpan, $this->closure,
            $this->isOutside, $this->isSealed, $this->caution, $this->properties, $this->slotDesign, $lines, $inside,
            $this->maxMass, $this->volume, $this->lookedFor,
        );
    }

    /**
     * All compartments of these and what lies inside them, outermost first.
     *
     * @param  list<self>  $compartments
     * @return array<string, self> by their path: "Main, Wounds"
     */
    public static function byPath(array $compartments, string $before = ''): array
    {
        $all = [];
        foreach ($compartments as $compartment) {
            $path = $before === '' ? $compartment->name : "{$before}, {$compartment->name}";
            $all = [...$all, $path => $compartment, ...self::byPath($compartment->inside, $path)];
        }

        return $all;
    }
}
