<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/**
 * One writing action, whole or not at all. Where the database chose it to end a deadlock, or the same request was done at the same
 * moment, it is done again from its beginning.
 */
final class Transaction
{
    private const TRIES = 5;

    /**
     * @template T
     *
     * @param  callable(): T  $action  loads all that it needs itself, so that it can be done again
     * @return T
     */
    public static function run(callable $action): mixed
    {
        $whole = static fn (): mixed => DB::transaction(static fn (): mixed => $action(), self::TRIES);
        if (DB::transactionLevel() > 0) {
            return $whole();
        }
        for ($try = 1; $try < self::TRIES; $try++) {
            try {
                return $whole();
            } catch (DoneAtTheSameMoment) {
                // What the other did is there now, and is found.
            } catch (QueryException $error) {
                if (! str_contains($error->getMessage(), 'Deadlock found')) {
                    throw $error;
                }
                // Those who held one another up go on one after the other.
                usleep(random_int(2_000, 20_000) * $try);
            }
        }

        return $whole();
    }
}
