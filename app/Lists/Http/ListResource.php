<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** One edition of a list that kits are held to, with its lines. */
#[OA\Schema]
final readonly class ListResource
{
    /**
     * @param  list<string>  $excludes
     * @param  list<string>  $designs
     * @param  list<string>  $kits
     * @param  list<string>  $serves
     * @param  list<EditionRef>  $editions
     * @param  list<ConfirmationResource>  $absent
     * @param  list<ListLineResource>  $lines
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $size,
        #[OA\Property]
        public string $edition,
        #[OA\Property]
        public string $basis,
        #[OA\Property(enum: ['starter', 'house'])]
        public string $origin,
        #[OA\Property(enum: ['kit', 'module'])]
        public string $kind,
        #[OA\Property]
        public bool $confirmed,
        #[OA\Property]
        public ?string $confirmed_on,
        #[OA\Property]
        public ?string $confirmed_by,
        #[OA\Property(description: 'why no line of it is critical, as it was confirmed')]
        public ?string $no_critical_because,
        #[OA\Property]
        public int $revision,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $excludes,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $designs,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $kits,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $serves,
        #[OA\Property(items: new OA\Items(ref: EditionRef::class))]
        public array $editions,
        #[OA\Property]
        public ?EditionRef $supersedes,
        #[OA\Property]
        public ?string $copied_from,
        #[OA\Property(items: new OA\Items(ref: ConfirmationResource::class))]
        public array $absent,
        #[OA\Property(items: new OA\Items(ref: ListLineResource::class))]
        public array $lines,
        #[OA\Property]
        public ?int $price,
        #[OA\Property]
        public int $unpriced,
        #[OA\Property]
        public string $currency,
        #[OA\Property(nullable: true, description: 'for how many people its quantities are meant')]
        public ?int $made_for_people,
        #[OA\Property(nullable: true, description: 'for how many days its quantities are meant')]
        public ?int $made_for_days,
    ) {
    }
}
