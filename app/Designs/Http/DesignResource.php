<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Kits\Http\LeafResource;
use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/** A design that kits can be made of. */
#[OA\Schema]
final readonly class DesignResource
{
    /**
     * @param  list<string>  $kits
     * @param  list<string>  $behind  kits that keep an older edition
     * @param  list<LeafResource>  $leaves
     * @param  list<WaitingLine>  $waiting
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public DesignEditionRef $edition,
        #[OA\Property]
        public ListRef $list,
        #[OA\Property]
        public bool $sealed,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $kits,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $behind,
        #[OA\Property(items: new OA\Items(ref: LeafResource::class))]
        public array $leaves,
        #[OA\Property]
        public int $lines,
        #[OA\Property]
        public DesignPolicyResource $policy,
        #[OA\Property(items: new OA\Items(ref: WaitingLine::class), description: 'planned without a day')]
        public array $waiting,
    ) {
    }
}
