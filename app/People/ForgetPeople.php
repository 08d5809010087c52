<?php

declare(strict_types=1);

namespace App\People;

use App\People\Models\FirstAider;
use App\Support\Transaction;

/** Deletes the records of first aiders that have been kept long enough. */
final class ForgetPeople
{
    public function __construct(
        private readonly Retention $retention,
        private readonly KeepPeople $keep,
    ) {
    }

    /** @return int how many */
    public function __invoke(string $today): int
    {
        $gone = FirstAider::query()->with('qualifications')->get()->filter(fn (FirstAider $one): bool => $this->retention->isOver($one, $today));
        Transaction::run(fn () => $gone->each(fn (FirstAider $one) => $this->keep->remove($one)));

        return $gone->count();
    }
}
