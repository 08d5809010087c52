<?php

declare(strict_types=1);

namespace App\Backup;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/** Whether a lead has to see to the backups: there is none, the newest is of more than two days ago, or it could not be put back. */
final readonly class BackupWatch
{
    public const NONE = 'none';

    public const LATE = 'late';

    public const DRILL_FAILED = 'drill_failed';

    private const LATE_HOURS = 48;

    /** @param  string  $folder  of the instance */
    public function __construct(private string $folder)
    {
    }

    /** @return array{string, CarbonImmutable|null}|null what it is, and of when the newest backup or the drill is */
    public function trouble(CarbonInterface $now): ?array
    {
        if (! is_file("{$this->folder}/backup-key.json")) {
            // A demo and a test are made anew, and need none.
            return str_starts_with(basename($this->folder), 'own') ? [self::NONE, null] : null;
        }
        $newest = null;
        foreach (glob("{$this->folder}/backups/sarcina-*.tar") ?: [] as $path) {
            preg_match('/-(\d{8}T\d{6}Z)-\w+\.tar$/', $path, $at);
            $newest = max($newest, $at[1] ?? null);
        }
        $made = $newest === null ? null : CarbonImmutable::createFromFormat('Ymd\THis\Z', $newest, 'UTC');
        if ($made === null || $made->diffInHours($now) > self::LATE_HOURS) {
            return [self::LATE, $made];
        }
        $drill = explode(' ', trim((string) @file_get_contents("{$this->folder}/backups/drill")));

        return ($drill[1] ?? '') === 'failed' ? [self::DRILL_FAILED, CarbonImmutable::parse($drill[0])] : null;
    }
}
