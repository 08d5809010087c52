<?php

declare(strict_types=1);

namespace App\Kits;

/** A kit that is to be made. */
final readonly class NewKitReport
{
    /** @param  string  $id  a ULID made by the page: sent twice, one kit is made */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $designId,
        public string $placeId,
        public string $scope,
    ) {
    }
}
