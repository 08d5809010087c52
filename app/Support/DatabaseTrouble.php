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
    private const CODES = [3, 1021, 1026, 1040, 1053, 1114, 1203, 1205, 1213, 1226, 1290, 1317, 1836, 1927, 2002, 2003, 2006, 2013];

    /** Of the server: a file or a table cannot grow, as the disk is full. */
    private const FULL = [3, 1021, 1026, 1114];

    /** What is left on a disk that counts as full. */
    private const FULL_BYTES = 4_000_000;

    /** Whether it is the disk that is full: as the server says, or as it is where the server does not answer at all. */
    public static function isOfFullDisk(Throwable $error): bool
    {
        for ($at = $error; $at !== null; $at = $at->getPrevious()) {
            $code = $at instanceof PDOException ? (int) ($at->errorInfo[1] ?? $at->getCode()) : 0;
            if (in_array($code, self::FULL, true) || $code === 1030 && str_contains($at->getMessage(), 'error 28')) {
                return true;
            }
        }

        return self::isBehind($error) && self::isDiskFull();
    }

    public static function isDiskFull(): bool
    {
        $left = @disk_free_space(SarcinaFolder::path());

        return $left !== false && $left < self::FULL_BYTES;
    }

    public static function isBehind(Throwable $error): bool
    {
        for ($at = $error; $at !== null; $at = $at->getPrevious()) {
            if ($at instanceof TransactionWasLost || $at instanceof DoneAtTheSameMoment) {
                return true;
            }
            if ($at instanceof PDOException && str_contains($at->getMessage(), '1030 Got error 28')) {
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
