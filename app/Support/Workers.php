<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Whether the workers that do what waits are alive: each says so every few seconds. */
final class Workers
{
    /** Said on Today once nobody has worked for so long. */
    private const SILENT_SECONDS = 60;

    private const SAYS_EVERY_SECONDS = 5;

    private int $saidAt = 0;

    /** Told by a worker whenever it looks for work. */
    public function isAlive(): void
    {
        if (time() - $this->saidAt >= self::SAYS_EVERY_SECONDS) {
            $this->saidAt = time();
            DB::table('worker_beats')->upsert([['id' => 1, 'beat_at' => now('UTC')->toDateTimeString()]], 'id');
        }
    }

    /** Since when nobody has worked, where that is too long; written in UTC. */
    public function silentSince(): ?string
    {
        $beat = DB::table('worker_beats')->value('beat_at');
        if ($beat === null) {
            return null;
        }
        $since = CarbonImmutable::parse($beat, 'UTC');

        return $since->diffInSeconds(now('UTC')) > self::SILENT_SECONDS ? $since->toIso8601ZuluString() : null;
    }
}
