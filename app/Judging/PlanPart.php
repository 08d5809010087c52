<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/** A part of a kit with modules: the kit without them, a module in it, or one that a slot asks for and that is not there. */
final readonly class PlanPart
{
    /**
     * @param  string  $prefix  before the codes of its lines in the document of the whole; empty for the kit itself
     * @param  Kit|null  $kit  null: the module is not there
     */
    public function __construct(
        public string $prefix,
        public string $name,
        public KitPlan $plan,
        public ?Kit $kit,
        public ?string $slotId = null,
    ) {
    }

    /** "0 of 2 in …" */
    public function phrase(): string
    {
        return match (true) {
            $this->kit === null => $this->name,
            $this->prefix === '' => 'the kit without its modules',
            default => "{$this->name} by itself",
        };
    }

    /** Before the ids of its compartments in the whole. */
    public function pocketPrefix(): string
    {
        return $this->prefix === '' || $this->kit === null ? '' : "{$this->kit->id}.";
    }

    /** What it is judged against by its own document, its lines named as in that of the whole. */
    public function asked(Day $on): KitList
    {
        $own = $this->plan->asked($on);

        return $this->prefix === '' ? $own : new KitList(
            $own->code,
            array_map(fn (Line $line): Line => $line->named("{$this->prefix}.{$line->id}"), $own->lines),
            $own->excludes,
        );
    }

    /** Whether that row of the whole lies in it. */
    public function holds(ContentRow $row): bool
    {
        return $this->kit !== null && ($this->prefix === ''
            ? ! str_contains($row->pocketId, '.')
            : str_starts_with($row->pocketId, $this->pocketPrefix()));
    }
}
