<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** Reports about a kit that no check has settled yet (rules.md, check, doubts). */
final readonly class Doubts
{
    /**
     * @param  bool  $repacking  somebody is repacking the kit
     * @param  bool  $seal  the number on the seal is not the one on record
     * @param  list<string>  $faults  codes of items reported faulty, each once
     * @param  array<string, int>  $reportedUsed  pieces reported used, by the item's code with a dot before it
     * @param  list<string>  $unprepared  codes of items reported unprepared, each once
     */
    public function __construct(
        public bool $repacking = false,
        public bool $seal = false,
        public array $faults = [],
        public array $reportedUsed = [],
        public array $unprepared = [],
    ) {
    }
}
