<?php

declare(strict_types=1);

namespace App\Stock;

use App\Judging\Judged;
use Sarcina\Core\Advice\Wanted;

/** Into which pockets what is put in goes. */
final class IntoPockets
{
    /**
     * Where so many pieces go: of a line that is split each pocket gets what it has too few of, and the first what is over.
     *
     * @param  string|null  $first  where its line lives
     * @param  list<PlannedIn>  $puts  that are planned already
     * @return list<array{string|null, int}> pockets and pieces
     */
    public static function of(Judged $judged, Wanted $want, ?string $first, int $pieces, array $puts): array
    {
        $line = $want->companion === null ? $judged->plan->line((string) $want->line?->id) : null;
        $into = [];
        foreach ($line->shares ?? [] as $share) {
            $there = 0;
            foreach ($judged->rows as $index => $row) {
                $serves = $line?->asked->entryFor($judged->judgement->assignment->contents[$index]->item) !== null;
                $there += $serves && $row->pocketId === $share->pocketId ? $row->quantity : 0;
            }
            foreach ($puts as $put) {
                $there += $put->line === $line?->code() && $put->pocketId === $share->pocketId ? $put->quantity : 0;
            }
            $here = min($pieces, max(0, $share->quantity - $there));
            $pieces -= $here;
            if ($here > 0) {
                $into[$share->pocketId] = $here;
            }
        }
        if ($pieces > 0) {
            $into[(string) $first] = ($into[(string) $first] ?? 0) + $pieces;
        }

        return array_map(
            static fn (string|int $pocket, int $quantity): array => [$pocket === '' ? null : (string) $pocket, $quantity],
            array_keys($into),
            array_values($into),
        );
    }
}
