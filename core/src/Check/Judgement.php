<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Lists\Rank;

/** The answer of the `check` rule. */
final readonly class Judgement
{
    /**
     * @param  int  $mass  grams
     * @param  list<LineOutcome>  $lines
     * @param  list<Finding>  $findings
     * @param  list<Restock>  $restock
     * @param  list<MissingCompanion>  $missingCompanions
     */
    public function __construct(
        public Assignment $assignment,
        public Verdict $verdict,
        public int $mass,
        public array $lines,
        public array $findings,
        public array $restock,
        public array $missingCompanions,
    ) {
    }

    /** What may be said of the kit: never that it is ready where its list asks for nothing critical and nothing required. */
    public function standing(): Verdict
    {
        foreach ($this->lines as $outcome) {
            if ($outcome->line->rank !== Rank::Optional) {
                return $this->verdict;
            }
        }

        return Verdict::NoRequirement->isWorseThan($this->verdict) ? Verdict::NoRequirement : $this->verdict;
    }
}
