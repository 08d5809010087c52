<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/**
 * The `whole` rule: a kit that several shifts use, or that holds modules, is as good as its worst document (rules.md, whole).
 */
final readonly class Whole
{
    /**
     * @param  non-empty-list<Judgement>  $judgements  of each document, in their order
     * @param  int  $judged  the place of the first document with the worst verdict
     */
    private function __construct(
        public Verdict $verdict,
        public array $judgements,
        public int $judged,
    ) {
    }

    /** @param  non-empty-list<Assignment>  $documents */
    public static function of(array $documents): self
    {
        return self::ofJudgements(array_map(Judge::judge(...), $documents));
    }

    /** @param  non-empty-list<Judgement>  $judgements */
    public static function ofJudgements(array $judgements): self
    {
        $judged = 0;
        foreach ($judgements as $place => $judgement) {
            $judged = $judgement->verdict->isWorseThan($judgements[$judged]->verdict) ? $place : $judged;
        }

        return new self($judgements[$judged]->verdict, $judgements, $judged);
    }
}
