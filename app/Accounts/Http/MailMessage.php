<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MailMessage
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $recipient,
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public string $sent_at,
    ) {
    }
}
