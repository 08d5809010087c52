<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/** Which pieces are worth putting in for a line: those that it lacks, and those that last longer than a piece which expires early. */
final class Renewal
{
    /** A piece without a date never expires. */
    private const NEVER = PHP_INT_MAX;

    /**
     * @param  int  $short  pieces that the line lacks whatever is renewed
     * @param  list<int>  $early  the last good days of its pieces that expire early, each once
     * @param  list<array{int|null, int}>  $picked  the last good day of each pick, null where it has none, and its pieces
     * @return list<int> pieces of each pick that are worth it
     */
    public static function of(int $short, array $early, array $picked): array
    {
        $pieces = [];
        foreach ($picked as $place => [$day, $many]) {
            array_push($pieces, ...array_fill(0, $many, [$day ?? self::NEVER, $place]));
        }
        usort($pieces, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        sort($early);
        $worth = array_fill(0, count($picked), 0);
        // What expires first fills what is lacking; of the rest each renews the earliest piece that it outlasts.
        foreach ($pieces as $at => [$day, $place]) {
            if ($at < $short) {
                $worth[$place]++;
            } elseif ($early !== [] && $day > $early[0]) {
                array_shift($early);
                $worth[$place]++;
            }
        }

        return array_values($worth);
    }
}
