<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\People\Scopes;
use Illuminate\Support\Facades\DB;

/**
 * One counter that rises with every change of what states rest on beside the operations of their kits: items, lists, designs, people,
 * policies. A state is labelled with the version that was seen where its judging began, and is present only while nothing newer
 * concerns its kit.
 */
final class JudgingVersion
{
    /** What the catalogue, plans and people that are remembered were read under; null where nothing is remembered. */
    private ?int $seen = null;

    /** Within a transaction that raised the counter itself, what others raised meanwhile cannot be told from it. */
    private bool $isRaisedHere = false;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly KitPlans $plans,
        private readonly Scopes $scopes,
    ) {
    }

    /**
     * The version that a judging which begins now sees: read in the snapshot in which all that it judges is read. What was remembered
     * under another one is forgotten.
     */
    public function now(): int
    {
        if ($this->isRaisedHere && $this->seen !== null) {
            return $this->seen;
        }
        $now = (int) DB::table('judging_version')->value('version');
        if ($this->seen !== $now) {
            $this->forget();
            $this->plans->under($now);
        }

        return $this->seen = $now;
    }

    /** Keeps plans for all that come, as they are read in this snapshot. */
    public function keepPlans(): void
    {
        $version = $this->now();
        if (! $this->isRaisedHere) {
            $this->plans->keepAll($version);
        }
    }

    /** The version that the record has reached by now, whatever this transaction saw; nobody raises it before this transaction ends. */
    public function latest(): int
    {
        return (int) DB::table('judging_version')->sharedLock()->value('version');
    }

    /** Raises the counter; others that change something wait until this transaction has ended. */
    public function raise(): int
    {
        // Before anything is read: what is read after it sees all that was changed before.
        DB::table('judging_version')->increment('version');
        $version = (int) DB::table('judging_version')->value('version');
        $this->seen ??= $version - 1;
        $this->isRaisedHere = true;
        // What this transaction changed is in no kept plan, and must not get into one before it stands.
        $this->plans->under(null);
        DB::afterCommit(function (): void {
            $this->isRaisedHere = false;
            $this->seen = null;
        });
        $this->forget();

        return $version;
    }

    private function forget(): void
    {
        $this->catalogue->forget();
        $this->plans->forget();
        $this->scopes->forget();
    }
}
