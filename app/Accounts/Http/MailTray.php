<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MailTray
{
    /** @param  list<MailMessage>  $messages */
    public function __construct(
        #[OA\Property(description: 'whether mail goes here, because no mail server is set up')]
        public bool $is_used,
        #[OA\Property(items: new OA\Items(ref: MailMessage::class))]
        public array $messages,
    ) {
    }
}
