<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** How an item is handled when one packs, what it is taken for, and what it is called elsewhere. */
#[OA\Schema]
final readonly class HandlingResource
{
    /**
     * @param  list<ToldFrom>  $told_from
     * @param  list<OtherName>  $names
     */
    public function __construct(
        #[OA\Property(enum: ['contact', 'absorb', 'hold'], description: 'of a dressing: it touches the wound, soaks, or holds the others')]
        public ?string $layer,
        #[OA\Property(description: 'minutes for which it must have been started before it works')]
        public ?int $start_minutes,
        #[OA\Property(description: 'what is done to it before it is packed')]
        public ?string $staging,
        #[OA\Property(description: 'whether that takes its wrapper off')]
        public bool $unwraps,
        #[OA\Property]
        public bool $keep_dry,
        #[OA\Property]
        public bool $has_latex,
        #[OA\Property(description: 'millilitres that a piece takes up in a pocket')]
        public ?int $bulk_ml,
        #[OA\Property(description: 'a tool that is asked for when the kit is handed back')]
        public bool $comes_back,
        #[OA\Property(description: 'used for training it goes back into stock once somebody has looked it over')]
        public bool $trains_again,
        #[OA\Property(description: 'items that it is taken for, and by what they are told apart', items: new OA\Items(ref: ToldFrom::class))]
        public array $told_from,
        #[OA\Property(description: 'what it is called elsewhere', items: new OA\Items(ref: OtherName::class))]
        public array $names,
    ) {
    }
}
