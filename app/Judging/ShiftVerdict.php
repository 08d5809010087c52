<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Kit\Scope;

/** What the core said of a kit as those may use it who serve in one shift. */
final readonly class ShiftVerdict
{
    public function __construct(
        public string $shift,
        public Scope $scope,
        public Verdict $verdict,
    ) {
    }

    /**
     * @param  list<string>  $kits
     * @return array<string, list<self>> as they are kept, by kit
     */
    public static function kept(array $kits): array
    {
        $kept = [];
        foreach (DB::table('kit_shift_states')->whereIn('kit_id', $kits)->orderBy('shift')->get() as $row) {
            $kept[$row->kit_id][] = new self($row->shift, Scope::from($row->scope), Verdict::from($row->verdict));
        }

        return $kept;
    }

    /** A verdict that something beside the contents lowers is lowered in every shift. */
    public function atBest(Verdict $verdict): self
    {
        return $verdict->isWorseThan($this->verdict) ? new self($this->shift, $this->scope, $verdict) : $this;
    }
}
