<?php

declare(strict_types=1);

namespace App\People\Http;

use OpenApi\Attributes as OA;

/** Somebody trained. Private: for who plans alone. */
#[OA\Schema]
final readonly class FirstAiderResource
{
    /**
     * @param  list<QualificationResource>  $qualifications
     * @param  list<PostingResource>  $postings
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $ended_on,
        #[OA\Property]
        public ?string $goes_on,
        #[OA\Property(items: new OA\Items(ref: QualificationResource::class))]
        public array $qualifications,
        #[OA\Property(items: new OA\Items(ref: PostingResource::class))]
        public array $postings,
    ) {
    }
}
