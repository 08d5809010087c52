<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\Checkpoint;
use App\Ledger\CheckpointFiles;
use App\Ledger\HeadFile;
use App\Ledger\Keys;
use App\Ledger\Triggers;
use App\Ledger\Verification\Rebuild;
use App\Ledger\Verification\Verify;
use Illuminate\Console\Command;
use RuntimeException;

final class LedgerVerify extends Command
{
    protected $signature = 'ledger:verify
        {--checkpoint=* : a checkpoint or a signed copy to hold the record against, beside those of this instance}
        {--rebuild : make what is kept beside the record anew from it}';

    protected $description = 'Goes through all that was recorded, and says what was changed, removed, put in or does not add up';

    public function handle(Verify $verify, Rebuild $rebuild, Keys $keys, CheckpointFiles $files, HeadFile $head, Triggers $triggers): int
    {
        try {
            // Read before the record is: what is written meanwhile is in the record and not yet in the file, and never the other way round.
            $end = $head->read();
            $checkpoints = [...$this->checkpoints($keys, $files), ...($end === null ? [] : [$end])];
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return 2;
        }
        $found = $verify($checkpoints);
        $owner = Triggers::owner();
        $faults = [...$found->faults, ...($owner === null ? [] : $triggers->faults($owner))];
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($owner === null) {
            $this->info('Triggers were not looked at, since only the owner of the tables sees them: bin/sarcina artisan ledger:verify does.');
        }
        foreach ($found->notes as $note) {
            $this->info($note);
        }
        if ($this->option('rebuild')) {
            $this->info('What is kept beside the record was made anew: '.$rebuild().' rows differed.');
        }
        if ($faults !== []) {
            return self::FAILURE;
        }
        $this->info(
            "The record is whole: {$found->operations} operations, {$found->checks} checks and {$found->movements} ".
                'movements, and what is kept beside it agrees. '.
                count($checkpoints).
                ' checkpoints hold.',
        );

        return self::SUCCESS;
    }

    /**
     * @return list<Checkpoint>
     *
     * @throws RuntimeException where a file that was named cannot be used
     */
    private function checkpoints(Keys $keys, CheckpointFiles $files): array
    {
        $checkpoints = [];
        /** @var list<string> $named */
        $named = $this->option('checkpoint');
        foreach ([...$files->all(), ...$named] as $path) {
            $json = @file_get_contents($path);
            if ($json === false) {
                throw new RuntimeException("{$path} cannot be read.");
            }
            try {
                $checkpoints[] = Checkpoint::read($json, $keys);
            } catch (RuntimeException $refused) {
                throw new RuntimeException("{$path}: {$refused->getMessage()}", previous: $refused);
            }
        }

        return $checkpoints;
    }
}
