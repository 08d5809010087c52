<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Edition\EditionPolicy;
use App\Designs\Edition\ReadEdition;
use App\Designs\Models\Design;
use App\Support\Stale;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Validation\ValidationException;

/** Publishes the next edition of a design, which asks for other checks or dates: kits keep theirs until somebody adopts it for them. */
final class ChangePolicy
{
    public function __construct(private readonly ReadEdition $read, private readonly PublishEdition $publish)
    {
    }

    /**
     * @param  string  $seen  the edition that was the latest when it was read
     * @param  callable(EditionPolicy): EditionPolicy  $to
     *
     * @throws Stale where another edition was published meanwhile
     */
    public function __invoke(Design $design, string $seen, callable $to, CarbonInterface $at): void
    {
        Transaction::run(function () use ($design, $seen, $to, $at): void {
            $design = Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $latest = $design->latest()->first();
            if ($latest === null || $latest->id !== $seen) {
                throw new Stale("Edition {$latest?->number} of {$design->name} was published meanwhile. Nothing was saved; look at it first.", [], 0);
            }
            $was = EditionPolicy::of($latest);
            $policy = $to($was);
            if ($policy->columns() === $was->columns()) {
                return;
            }
            $content = ($this->read)($latest);
            if ($policy->everyUnit === null && $content->seasons === [] && ! $policy->beforeEvents) {
                throw ValidationException::withMessages([
                    'every_unit' => 'Kits of this design would never be checked. Say after how long, or before which events.',
                ]);
            }
            ($this->publish)($design, $content->under($policy), $at);
        });
    }
}
