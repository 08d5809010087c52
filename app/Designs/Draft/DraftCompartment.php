<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Designs\Edition\CompartmentContent;
use OpenApi\Attributes as OA;

/** A compartment of a design that is being packed: what it is, where it lies, what closes it and what it may carry. */
#[OA\Schema]
final readonly class DraftCompartment
{
    /**
     * @param  list<string>  $properties
     * @param  list<string>  $looked_for
     */
    public function __construct(
        #[OA\Property(description: 'a ULID made by the page where it is new; the one that it has in the edition before where it is not')]
        public string $id,
        #[OA\Property(nullable: true, description: 'what it lies in; null for a leaf')]
        public ?string $parent_id,
        #[OA\Property(enum: ['leaf', 'pocket', 'pouch', 'slot'])]
        public string $kind,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $row,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $row_span,
        #[OA\Property]
        public int $column_span,
        #[OA\Property(enum: ['zip', 'buckle', 'flap', 'lid', 'drawstring'], nullable: true)]
        public ?string $closure,
        #[OA\Property]
        public bool $outside,
        #[OA\Property]
        public bool $sealed,
        #[OA\Property(nullable: true)]
        public ?string $caution,
        #[OA\Property(items: new OA\Items(
            type: 'string', enum: ['heavy_when_open', 'sharps', 'waterproof', 'rigid', 'exposed_to_rain', 'take_first'],
        ))]
        public array $properties,
        #[OA\Property(nullable: true, description: 'code of the design of the module that a slot asks for')]
        public ?string $slot_design,
        #[OA\Property(nullable: true, description: 'what it may carry')]
        public ?int $max_mass_g,
        #[OA\Property(nullable: true, description: 'what it holds')]
        public ?int $volume_ml,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'codes of lines that people search here and that live elsewhere')]
        public array $looked_for,
    ) {
    }

    public static function of(CompartmentContent $one, ?string $parent): self
    {
        return new self(
            (string) $one->id, $parent, $one->kind, $one->name, $one->row, $one->column, $one->rowSpan, $one->columnSpan, $one->closure,
            $one->isOutside, $one->isSealed, $one->caution, $one->properties, $one->slotDesign, $one->maxMass, $one->volume, $one->lookedFor,
        );
    }
}
