<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\Checkpoint;
use App\Ledger\Head;
use App\Ledger\Keys;
use App\Ledger\OperationKind;
use Illuminate\Support\Facades\DB;

/** Goes through all that was recorded, and says what was changed, removed, put in or does not add up. */
final class Verify
{
    public function __construct(
        private readonly Keys $keys,
        private readonly ReadsRecord $record,
        private readonly ProjectionFaults $projections,
    ) {
    }

    /** @param  list<Checkpoint>  $checkpoints */
    public function __invoke(array $checkpoints = []): Verified
    {
        return DB::transaction(function () use ($checkpoints): Verified {
            $chain = new ChainFaults($this->keys);
            $replay = new Replay;
            $notes = [];
            $count = 0;
            foreach ($this->record->operations() as $operation) {
                $count++;
                $chain->follow($operation);
                $replay->follow($operation);
                if ($operation->kind() === OperationKind::Restore) {
                    $notes[] = "Restored from a backup on {$operation->text('day')} by {$operation->text('signed')}: epoch {$operation->text(
                        'epoch',
                    )} begins with operation {$operation->number}. {$operation->text('note')}";
                }
            }
            $faults = [...$chain->faults(Head::read()), ...$replay->faults(), ...$this->projections->of($replay)];
            foreach ($checkpoints as $checkpoint) {
                [$wrong, $note] = $this->against($checkpoint);
                $faults = [...$faults, ...$wrong];
                $notes = [...$notes, ...$note];
            }

            return new Verified($faults, $notes, $count, $replay->movements(), $replay->checks(), $replay);
        });
    }

    /** @return array{list<string>, list<string>} faults and notes */
    private function against(Checkpoint $checkpoint): array
    {
        $restored = DB::table('operations')->where('epoch', '>', $checkpoint->epoch)->where('number', '<=', $checkpoint->number)->min('number');
        if ($restored !== null) {
            return [
                [],
                [
                    "The checkpoint of {$checkpoint->day} (operation {$checkpoint->number}) lies after what was restored with operation {$restored}.",
                ],
            ];
        }
        if ($checkpoint->number === 0) {
            return [[], []];
        }
        $there = DB::table('operations')->where('number', $checkpoint->number)->first(['hash', 'epoch']);

        return [
            match (true) {
                $there === null => [
                    "The checkpoint of {$checkpoint->day} names operation {$checkpoint->number}, which is not there: ".
                        'the end of the record was cut off.',
                ],
                $there->hash !== $checkpoint->hash || (int) $there->epoch !== $checkpoint->epoch => [
                    "Operation {$checkpoint->number} is not the one that the checkpoint of {$checkpoint->day} was ".
                        'signed for: the record was computed anew.',
                ],
                default => [],
            },
            [],
        ];
    }
}
