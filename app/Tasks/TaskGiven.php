<?php

declare(strict_types=1);

namespace App\Tasks;

/** A task as it is given: to whom, until when. The id is made by whoever gives it. */
final readonly class TaskGiven
{
    /** @param  string  $dueOn  Y-m-d */
    public function __construct(
        public string $id,
        public TaskKind $kind,
        public ?string $text,
        public string $userId,
        public string $dueOn,
    ) {
    }
}
