<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Due\NextCheck;

/** What the core says of one kit: the judgement, the document it rests on, and when the next check is. */
final readonly class Judged
{
    /**
     * @param  list<ContentRow>  $rows  as they stand in the document's contents
     * @param  array<string, mixed>  $document  `sarcina.kit/1`
     */
    public function __construct(
        public Plan $plan,
        public array $rows,
        public array $document,
        public Judgement $judgement,
        public NextCheck $due,
        public KitScope $scope,
    ) {
    }
}
