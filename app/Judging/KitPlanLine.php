<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Lists\Line;

/** A line of a kit's list or module, or one that its design adds: as the core judges it, what it is called, and where it goes. */
final readonly class KitPlanLine
{
    /**
     * @param  Line  $asked  its id is the line's code, with the module's before it
     * @param  string|null  $pocketId  null where it is of a module that is not there
     * @param  string|null  $listId  of the list that it stands in; null where the design adds it
     * @param  Day|null  $from  planned: asked for from that day on
     * @param  string|null  $waitsFor  planned without a day, and what it waits for has not begun: not asked for
     * @param  list<PlanShare>  $shares  where it is split over several pockets, the first first
     */
    public function __construct(
        public string $id,
        public Line $asked,
        public string $need,
        public ?string $pocketId,
        public ?string $reason,
        public ?string $listId,
        public ?Day $from = null,
        public ?string $waitsFor = null,
        public array $shares = [],
    ) {
    }

    /** The same in the document of the kit that its module is in. */
    public function inModule(string $before, ?string $pocketsBefore): self
    {
        return new self(
            $this->id, $this->asked->named($before.$this->asked->id), $this->need,
            $pocketsBefore === null || $this->pocketId === null ? null : $pocketsBefore.$this->pocketId, $this->reason, $this->listId, $this->from,
            $this->waitsFor,
            $pocketsBefore === null ? [] : array_map(
                static fn (PlanShare $share): PlanShare => new PlanShare($pocketsBefore.$share->pocketId, $share->quantity), $this->shares,
            ),
        );
    }

    public function isAskedOn(?Day $day): bool
    {
        return $day === null || ($this->waitsFor === null && ($this->from === null || ! $day->isBefore($this->from)));
    }

    public function livesIn(string $pocketId): bool
    {
        foreach ($this->shares as $share) {
            if ($share->pocketId === $pocketId) {
                return true;
            }
        }

        return $this->pocketId === $pocketId;
    }

    public function code(): string
    {
        return $this->asked->id;
    }
}
