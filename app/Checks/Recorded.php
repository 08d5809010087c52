<?php

declare(strict_types=1);

namespace App\Checks;

use App\Checks\Models\Unsettled;
use Illuminate\Database\Eloquent\Collection;

/** What became of something that was sent in: the operation under which it is on record, and what somebody must still settle. */
final readonly class Recorded
{
    /**
     * @param  int|null  $operation  null where it is kept, but nothing of it could be recorded
     * @param  Collection<int, Unsettled>  $unsettled
     */
    public function __construct(
        public ?int $operation,
        public Collection $unsettled,
    ) {
    }

    /** As it is on record under that id. */
    public static function under(?int $operation, string $id): self
    {
        return new self($operation, Unsettled::query()->where('operation_id', $id)->orderBy('id')->get());
    }
}
