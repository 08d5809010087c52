<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Kit\Scope;

/** The verdict of a kit for one shift of its place. */
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
}
