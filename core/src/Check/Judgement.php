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

    /**
     * Lists the ids of the lines that must be counted before a running check shows a status: critical and required lines, or all lines
     * if there are none of these (rules.md, check).
     *
     * @return list<string>
     */
    public function linesToCountFirst(): array
    {
        $grave = array_filter($this->lines, static fn (LineOutcome $one): bool => $one->line->rank !== Rank::Optional);

        return array_values(array_map(static fn (LineOutcome $one): string => $one->line->id, $grave === [] ? $this->lines : $grave));
    }
}
