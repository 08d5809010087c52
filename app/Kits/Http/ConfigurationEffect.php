<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Lists\Http\KitEffect;
use OpenApi\Attributes as OA;

/** What setting a kit to a configuration asks for: what to put in, to move and to remove, and which modules. */
#[OA\Schema]
final readonly class ConfigurationEffect
{
    /**
     * @param  list<string>  $modules_in
     * @param  list<string>  $modules_out
     */
    public function __construct(
        #[OA\Property(nullable: true)]
        public ?string $from,
        #[OA\Property(nullable: true)]
        public ?string $to,
        #[OA\Property]
        public KitEffect $effect,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'what its slots ask for then')]
        public array $modules_in,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'codes of modules whose slot is not asked for then')]
        public array $modules_out,
    ) {
    }
}
