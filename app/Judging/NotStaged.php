<?php

declare(strict_types=1);

namespace App\Judging;

/** An unprepared item in a pocket, and the task that prepares it. */
final readonly class NotStaged
{
    /** @param  string  $task  "Unfold the gloves" */
    public function __construct(public string $kitId, public string $item, public string $name, public string $pocket, public string $task)
    {
    }
}
