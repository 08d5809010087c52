<?php

declare(strict_types=1);

namespace App\Backup;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Which backups stay: of those that are made by themselves the newest of each of seven days, four weeks and twelve months that have one,
 * and the three newest before an upgrade. What somebody made by hand stays until they remove it.
 */
final class KeptBackups
{
    private const KEEP = ['Y-m-d' => 7, 'o-\WW' => 4, 'Y-m' => 12];

    private const UPGRADES = 3;

    /**
     * @param  list<string>  $names  of files, as bin/lib/backup.sh gives them
     * @return list<string> those that go
     */
    public static function goes(array $names): array
    {
        $byReason = ['daily' => [], 'upgrade' => []];
        foreach ($names as $name) {
            if (preg_match('/^sarcina-[\w-]+-(\d{8}T\d{6}Z)-(daily|upgrade)\.tar$/', $name, $part) === 1) {
                $byReason[$part[2]][$name] = $part[1];
            }
        }
        $stays = [];
        foreach ($byReason as &$made) {
            arsort($made);
        }
        foreach (self::KEEP as $period => $number) {
            $newest = [];
            foreach ($byReason['daily'] as $name => $at) {
                $when = DateTimeImmutable::createFromFormat('Ymd\THis\Z', $at, new DateTimeZone('UTC'));
                $newest[$when === false ? $at : $when->format($period)] ??= $name;
            }
            $stays = [...$stays, ...array_slice(array_values($newest), 0, $number)];
        }
        $stays = [...$stays, ...array_slice(array_keys($byReason['upgrade']), 0, self::UPGRADES)];

        return array_values(array_diff([...array_keys($byReason['daily']), ...array_keys($byReason['upgrade'])], $stays));
    }
}
