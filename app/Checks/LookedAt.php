<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\Judged;
use Illuminate\Validation\ValidationException;

/** A check is a look: of a line that nobody looked at nothing is known. */
final class LookedAt
{
    /**
     * @param  list<string>  $answered  codes of the lines that were looked at
     * @param  list<string>  $relied  modules that stayed closed: their lines were not to be looked at
     *
     * @throws ValidationException where a line was not
     */
    public static function every(Judged $judged, array $answered, array $relied): void
    {
        $unlooked = [];
        foreach ($judged->judgement->lines as $outcome) {
            $line = $judged->plan->line($outcome->line->id);
            $module = $line->pocketId === null ? '' : strtok($line->pocketId, '.');
            if (! in_array($line->code(), $answered, true) && ! in_array($module, $relied, true)) {
                $unlooked[] = $line->need;
            }
        }
        if ($unlooked !== []) {
            throw ValidationException::withMessages([
                'answered' => 'Not everything was looked at: '.implode(', ', $unlooked).'. Count each line, or say that none is there.',
            ]);
        }
    }
}
