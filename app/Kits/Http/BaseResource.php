<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Ledger\Base;
use OpenApi\Attributes as OA;

/** How far the record goes, to be sent back with what rests on it. */
#[OA\Schema(schema: 'Base')]
final readonly class BaseResource
{
    public function __construct(
        #[OA\Property(description: 'begins anew with each restore from a backup')]
        public int $epoch,
        #[OA\Property(description: 'of the last operation')]
        public int $number,
    ) {
    }

    public static function of(Base $base): self
    {
        return new self($base->epoch, $base->number);
    }
}
