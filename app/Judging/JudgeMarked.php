<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Support\Transaction;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Judges kits whose states are not present. One is enough: it goes on until none is left. */
final class JudgeMarked implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    private const SECONDS = 5.0;

    public int $timeout = 60;

    public int $tries = 3;

    /** Seconds after which another may wait, should this one have been lost. */
    public int $uniqueFor = 60;

    /** As soon as what is being changed stands. */
    public static function soon(): void
    {
        self::dispatch()->afterCommit();
    }

    public function handle(KitStates $states, JudgingVersion $version, Organisation $organisation): void
    {
        Transaction::run(static fn () => $version->keepPlans());
        $left = $states->judgeMarked($organisation->today(), self::SECONDS);
        StateCounts::putTogether();
        if ($left > 0) {
            self::dispatch();
        }
    }
}
