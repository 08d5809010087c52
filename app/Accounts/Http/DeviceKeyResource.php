<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** The key by which a person's work is locked on a device. */
#[OA\Schema]
final readonly class DeviceKeyResource
{
    public function __construct(
        #[OA\Property(description: '32 bytes, in base64')]
        public string $key,
    ) {
    }
}
