<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Judging\ShiftVerdict;
use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** What the core says of a kit as those may use it who serve in one shift of its place. */
#[OA\Schema]
final readonly class ShiftVerdictResource
{
    public function __construct(
        #[OA\Property]
        public string $shift,
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'], description: 'what somebody posted to it may use')]
        public string $scope,
        #[OA\Property(description: 'whether it is on at this moment')]
        public bool $now,
    ) {
    }

    /**
     * @param  list<ShiftVerdict>  $shifts
     * @param  list<string>  $on  those that are on at this moment
     * @return list<self>
     */
    public static function each(array $shifts, array $on): array
    {
        return array_map(static fn (ShiftVerdict $one): self => new self(
            $one->shift, $one->verdict->value, $one->scope->value, in_array($one->shift, $on, true),
        ), $shifts);
    }
}
