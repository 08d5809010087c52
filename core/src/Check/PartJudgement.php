<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** How a part of a kit was judged by its own document: a module in it, or the kit without its modules. */
final readonly class PartJudgement
{
    /**
     * @param  string  $name  as it is said: "0 of 2 in …"
     * @param  Judgement  $judgement  its lines are named as in the document of the whole
     * @param  array<int, int>  $rows  the place of each of its rows in the contents of the whole
     * @param  bool  $isMissing  a slot asks for it, and it is not there
     */
    public function __construct(
        public string $name,
        public Judgement $judgement,
        public array $rows,
        public bool $isMissing = false,
    ) {
    }
}
