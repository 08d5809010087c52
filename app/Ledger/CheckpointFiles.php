<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;

/** The checkpoints that this instance wrote, one file a day, in a folder of its own. They belong in a backup and in somebody else's hands. */
final class CheckpointFiles
{
    public function __construct(
        private readonly Keys $keys,
        private readonly string $folder,
    ) {
    }

    public function has(string $day): bool
    {
        return is_file($this->path($day));
    }

    /** Writes the day's checkpoint, whole or not at all; one that is there stays. */
    public function write(Head $head, string $day): string
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0700, true) && ! is_dir($this->folder)) {
            throw new RuntimeException("The folder {$this->folder} for checkpoints cannot be made.");
        }
        $path = $this->path($day);
        $beside = "{$path}.".bin2hex(random_bytes(6));
        $json = json_encode(Checkpoint::of($head, $day, $this->keys)->document(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        if (@file_put_contents($beside, $json."\n") === false || ! @rename($beside, $path)) {
            @unlink($beside);
            throw new RuntimeException("The checkpoint {$path} cannot be written.");
        }
        chmod($path, 0600);

        return $path;
    }

    /** What was recorded stands, whether or not its checkpoint can be written: the fault is reported, and the next operation tries again. */
    public function writeIfPossible(Head $head, string $day): void
    {
        try {
            $this->write($head, $day);
        } catch (RuntimeException $fault) {
            report($fault);
        }
    }

    /** @return list<string> paths, oldest first */
    public function all(): array
    {
        $files = glob($this->folder.'/checkpoint-*.json') ?: [];
        sort($files);

        return $files;
    }

    public function removeAll(): void
    {
        foreach ($this->all() as $path) {
            unlink($path);
        }
        (new HeadFile($this->keys, $this->folder))->remove();
    }

    private function path(string $day): string
    {
        return "{$this->folder}/checkpoint-{$day}.json";
    }
}
