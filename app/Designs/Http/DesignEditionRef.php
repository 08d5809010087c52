<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Models\DesignEdition;
use OpenApi\Attributes as OA;

/** An edition of a design by its number. */
#[OA\Schema]
final readonly class DesignEditionRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property(description: 'the edition of its list')]
        public string $list_edition,
    ) {
    }

    public static function of(DesignEdition $edition): self
    {
        return new self($edition->id, $edition->number, $edition->list->edition);
    }
}
