<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class AccountsResource
{
    /**
     * @param  list<AccountResource>  $accounts
     * @param  list<InvitationResource>  $invitations
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: AccountResource::class))]
        public array $accounts,
        #[OA\Property(items: new OA\Items(ref: InvitationResource::class))]
        public array $invitations,
        #[OA\Property(nullable: true, description: 'the link of an invitation that was just made: shown this once, to hand over')]
        public ?string $link = null,
    ) {
    }
}
