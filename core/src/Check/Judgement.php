<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** The answer of the `check` rule. */
final readonly class Judgement
{
    /**
     * @param  int  $mass  grams
     * @param  list<LineOutcome>  $lines
     * @param  list<Finding>  $findings
     * @param  list<Restock>  $restock
     * @param  list<MissingCompanion>  $missingCompanions
     * @param  int  $judged  which count this is the answer for: 0 for the contents, n for the nth other count
     */
    public function __construct(
        public Assignment $assignment,
        public Verdict $verdict,
        public int $mass,
        public array $lines,
        public array $findings,
        public array $restock,
        public array $missingCompanions,
        public int $judged = 0,
    ) {
    }
}
