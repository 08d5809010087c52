<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** A check as it was signed. */
#[OA\Schema]
final readonly class CheckResource
{
    /**
     * @param  list<CheckRowResource>  $rows
     * @param  list<CheckLineResource>  $lines
     * @param  list<CheckFindingResource>  $findings
     * @param  list<UnsettledResource>  $unsettled  of it, and not settled yet
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property(enum: ['full', 'quick'])]
        public string $kind,
        #[OA\Property]
        public string $place,
        #[OA\Property(enum: ['stands', 'superseded', 'disputed', 'history'], description: 'whether it answers for the kit')]
        public string $standing,
        #[OA\Property]
        public string $begun_at,
        #[OA\Property(description: 'by the device\'s clock, corrected')]
        public string $done_at,
        #[OA\Property(description: 'by the server\'s clock')]
        public string $received_at,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $signed,
        #[OA\Property(description: 'the account')]
        public string $by,
        #[OA\Property(description: 'why it is signed by another name than the account\'s')]
        public ?string $signed_because,
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property]
        public string $design,
        #[OA\Property]
        public string $list_title,
        #[OA\Property]
        public string $list_edition,
        #[OA\Property]
        public bool $list_confirmed,
        #[OA\Property(enum: ['strict', 'reserve'])]
        public string $expiry,
        #[OA\Property]
        public int $margin_days,
        #[OA\Property]
        public string $next_check,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public ?int $max_mass_g,
        #[OA\Property]
        public ?string $seal_found,
        #[OA\Property]
        public ?string $seal_set,
        #[OA\Property]
        public ?string $seal_reason,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public string $hash,
        #[OA\Property(description: 'base64; verifies the checkpoint of a signed copy')]
        public string $public_key,
        #[OA\Property(items: new OA\Items(ref: CheckRowResource::class))]
        public array $rows,
        #[OA\Property(items: new OA\Items(ref: CheckLineResource::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: CheckFindingResource::class))]
        public array $findings,
        #[OA\Property(items: new OA\Items(ref: UnsettledResource::class))]
        public array $unsettled,
    ) {
    }
}
