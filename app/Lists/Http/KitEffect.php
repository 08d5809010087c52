<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Designs\AdoptionEffect;
use App\Designs\PocketMove;
use App\Kits\Models\Kit;
use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** What a kit would have added, moved and removed under another edition, and what it would be then. */
#[OA\Schema]
final readonly class KitEffect
{
    /**
     * @param  list<string>  $added  what it would lack
     * @param  list<string>  $moved  what would lie in another pocket
     * @param  list<string>  $removed  what no line would ask for any more
     */
    public function __construct(
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: Verdict::class)]
        public string $now,
        #[OA\Property(enum: Verdict::class)]
        public string $then,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $added,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $moved,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $removed,
        #[OA\Property(nullable: true, description: 'as it lies')]
        public ?int $mass_now_g = null,
        #[OA\Property(nullable: true, description: 'with what is added and without what is removed')]
        public ?int $mass_then_g = null,
        #[OA\Property(nullable: true, description: 'of what is added, in whole minor units')]
        public ?int $cost = null,
        #[OA\Property(description: 'added items without a price')]
        public int $without_price = 0,
    ) {
    }

    /** As it was kept. */
    public static function from(string $json): self
    {
        /**
         * @var array{
         *     kit: string, name: string, now: string, then: string, added: list<string>, moved: list<string>, removed: list<string>,
         *     mass_now_g?: int|null, mass_then_g?: int|null, cost?: int|null, without_price?: int,
         * } $kept
         */
        $kept = json_decode($json, true, 16, JSON_THROW_ON_ERROR);

        return new self($kept['kit'], $kept['name'], $kept['now'], $kept['then'], $kept['added'], $kept['moved'], $kept['removed'],
            $kept['mass_now_g'] ?? null, $kept['mass_then_g'] ?? null, $kept['cost'] ?? null, $kept['without_price'] ?? 0);
    }

    public static function of(Kit $kit, AdoptionEffect $effect): self
    {
        return new self(
            $kit->code,
            $kit->parent === null ? $kit->name : "{$kit->name}, in {$kit->parent->code}",
            $effect->now->value,
            $effect->then->value,
            $effect->added,
            array_map(static fn (PocketMove $move): string => $move->text, $effect->moved),
            $effect->removed,
            $effect->massNow,
            $effect->massThen,
            $effect->cost,
            $effect->withoutPrice,
        );
    }
}
