<?php

declare(strict_types=1);

namespace App\Lists;

use App\Judging\KitStates;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes over what ships with the application, in whole or in part; what is there stays as it is. */
final class TakeReference
{
    public function __construct(private readonly TakesReference $reference, private readonly KitStates $states)
    {
    }

    /** @param  list<string>  $lists  their codes */
    public function __invoke(bool $allItems, array $lists): void
    {
        $offered = array_column($this->reference->lists(), 'code');
        $unknown = array_diff($lists, $offered);
        if ($unknown !== []) {
            throw ValidationException::withMessages(['lists' => 'There is no such list to take: '.implode(', ', $unknown).'. Load the page again.']);
        }
        Transaction::run(function () use ($allItems, $lists): void {
            // Two at once: the second finds what the first took.
            DB::table('organisations')->lockForUpdate()->get();
            $this->reference->take($allItems, $lists);
            $this->states->mark();
        });
    }
}
