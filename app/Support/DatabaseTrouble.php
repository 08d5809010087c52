<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** Tells errors that pass once the database answers again from errors of the application. */
final class DatabaseTrouble
{
    /** Of the server: too many connections, shutting down, read-only, disk or table full, lock wait timeout, deadlock, killed. */
    private const CODES = [1021, 1040, 1053, 1114, 1203, 1205, 1213, 1226, 1290, 1317, 1836, 1927, 2002, 2003, 2006, 2013];

    public static function isBehind(Throwable $error): bool
    {
        for ($at = $error; $at !== null; $at = $at->getPrevious()) {
            if ($at instanceof TransactionWasLost || $at instanceof DoneAtTheSameMoment) {
                return true;
            }
            if ($at instanceof PDOException && (in_array(
                (int) ($at->errorInfo[1] ?? $at->getCode()),
                self::CODES,
                true,
            ) || (new LostConnectionDetector)->causedByLostConnection($at))) {
                return true;
            }
        }

        return false;
    }
}
