<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Measure\Quantity;

/** How a kit stands at one moment of a restock: its verdict, what its lines are short of, and what its pieces lack beside them. */
final readonly class Standing
{
    /**
     * @param  array<string, int>  $short  pieces that critical, required and optional lines lack, and required lines after reserve
     * @param  array<string, Quantity>  $totals  what lines that ask for a total have, by line
     */
    private function __construct(
        public Verdict $verdict,
        private array $short,
        private array $totals,
        public int $unpaired,
        public bool $isOverweight,
    ) {
    }

    /** @param  Verdict|null  $verdict  of the worst of those who have it, where that is not this judgement's */
    public static function of(Judgement $judgement, ?Verdict $verdict = null): self
    {
        $short = ['critical' => 0, 'required' => 0, 'optional' => 0, 'after reserve' => 0];
        $totals = [];
        foreach ($judgement->lines as $outcome) {
            if ($outcome->effective instanceof Quantity) {
                $totals[$outcome->line->id] = $outcome->effective;
            } elseif (is_int($outcome->short)) {
                $short[$outcome->line->rank->value] += $outcome->short;
                $short['after reserve'] += $outcome->line->rank === Rank::Required ? max(0, $outcome->short - (int) $outcome->reserve) : 0;
            }
        }
        $kinds = array_count_values(array_map(static fn ($finding): string => $finding->kind->value, $judgement->findings));

        return new self(
            $verdict ?? $judgement->verdict, $short, $totals,
            $kinds[FindingKind::Unpaired->value] ?? 0, isset($kinds[FindingKind::Overweight->value]),
        );
    }

    /** Whether nothing is worse than it was: neither the verdict nor what any rank of lines is short of. */
    public function isNoWorseThan(self $was): bool
    {
        if ($this->verdict->isWorseThan($was->verdict)) {
            return false;
        }
        foreach ($this->short as $of => $pieces) {
            if ($pieces > $was->short[$of]) {
                return false;
            }
        }
        foreach ($this->totals as $line => $total) {
            if (! $total->isAtLeast($was->totals[$line])) {
                return false;
            }
        }

        return true;
    }

    /** Whether it weighs too much, or lacks companions, where it did not. */
    public function isEncumberedBeside(self $was): bool
    {
        return $this->unpaired > $was->unpaired || $this->isOverweight && ! $was->isOverweight;
    }
}
