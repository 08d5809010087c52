<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\User;
use App\Designs\Models\Design;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Says that what a planned line of a design waits for has begun, or has ended: from then on its kits are asked for it, or no more. */
final class BeginLine
{
    public function __construct(private readonly KitPlans $plans, private readonly KitStates $states)
    {
    }

    public function begin(Design $design, string $line, string $onDay, string $reason, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($design, $line, $onDay, $reason, $by, $at, $day): void {
            $design = Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $waits = DB::table('placements')->where('design_edition_id', $design->latest?->id)->where('line_code', $line)
                ->whereNotNull('waits_for')->exists();
            if (! $waits) {
                throw ValidationException::withMessages(['line' => "Line {$line} of {$design->name} waits for nothing. Open the page again."]);
            }
            $open = DB::table('line_switches')->where('design_id', $design->id)->where('line_code', $line)->whereNull('ended_on');
            if ((clone $open)->where('on_day', $onDay)->where('reason', $reason)->exists()) {
                return;
            }
            $open->update(['ended_on' => $day, 'ended_by_id' => $by->id]);
            DB::table('line_switches')->insert([
                'design_id' => $design->id, 'line_code' => $line, 'on_day' => $onDay, 'reason' => $reason, 'user_id' => $by->id,
                'switched_at' => $at->toImmutable()->utc()->format('Y-m-d H:i:s'),
            ]);
            $this->judgeAgain($design);
        });
    }

    public function end(Design $design, string $line, User $by, string $day): void
    {
        Transaction::run(function () use ($design, $line, $by, $day): void {
            Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $ended = DB::table('line_switches')->where('design_id', $design->id)->where('line_code', $line)->whereNull('ended_on')
                ->update(['ended_on' => $day, 'ended_by_id' => $by->id]);
            if ($ended > 0) {
                $this->judgeAgain($design);
            }
        });
    }

    private function judgeAgain(Design $design): void
    {
        $this->plans->forget();
        $this->states->mark(KitsKeeping::any([], DB::table('design_editions')->where('design_id', $design->id)->pluck('id')->all()));
    }
}
