<?php

declare(strict_types=1);

namespace App\Judging;

/** As though a full check were signed: what of the kit it counts, and since when. */
final readonly class AsChecked
{
    /**
     * @param  string|null  $from  the instant, as on record, when it was begun beyond doubt; null: nobody knows, and no report is counted by it
     * @param  list<string>  $relied  ids of modules that it did not open, because their seals are whole
     */
    public function __construct(private ?string $from, private array $relied = [])
    {
    }

    public function opens(string $kitId): bool
    {
        return ! in_array($kitId, $this->relied, true);
    }

    /** @param  string  $at  the instant, as on record */
    public function countsSince(string $kitId, string $at): bool
    {
        return $this->from !== null && $this->from >= $at && $this->opens($kitId);
    }
}
