<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;

/** A kit or design held against a list, and what it would take to meet it. */
#[OA\Schema]
final readonly class ComparisonResource
{
    /**
     * @param  list<ComparedLineResource>  $lines
     * @param  list<LeftOverResource>  $rest
     * @param  list<string>  $findings
     * @param  list<ToAdd>  $add
     */
    public function __construct(
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $subject_title,
        #[OA\Property]
        public ListRef $list,
        #[OA\Property(enum: Verdict::class)]
        public string $verdict,
        #[OA\Property]
        public string $sentence,
        #[OA\Property(items: new OA\Items(ref: ComparedLineResource::class))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: LeftOverResource::class))]
        public array $rest,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $findings,
        #[OA\Property(items: new OA\Items(ref: ToAdd::class))]
        public array $add,
        #[OA\Property]
        public int $add_mass_g,
        #[OA\Property]
        public int $add_cost,
        #[OA\Property]
        public int $unpriced,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public int $mass_then_g,
        #[OA\Property]
        public string $mass_shown,
        #[OA\Property]
        public string $currency,
    ) {
    }
}
