<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/**
 * An edition of a design as the core and the page need it: its list and additions, the compartment for each line, its pockets and policy.
 * That of a kit with modules joins those of its parts.
 */
final readonly class KitPlan
{
    private KitList $asked;

    /**
     * @param  list<ItemClass>  $excludes
     * @param  list<KitPlanLine>  $lines
     * @param  array<string, PlanPocket>  $pockets  by id; those of a module with the module's id before theirs
     * @param  list<PlanLeaf>  $leaves
     * @param  array<string, Item>  $items  named by a line, by code
     * @param  list<PlanSlot>  $slots  that its configuration asks to be filled
     * @param  list<PlanPart>  $parts  the kit itself and its modules; none where it has no module and no slot
     * @param  bool  $isEmptyMassKnown  false where nobody weighed the empty bag of the kit or of a module in it
     */
    public function __construct(
        public string $editionId,
        public int $number,
        public string $designId,
        public string $code,
        public string $name,
        public int $emptyMass,
        public ?int $maxMass,
        public CheckPolicy $policy,
        public KeptList $list,
        public array $excludes,
        public array $lines,
        public array $pockets,
        public array $leaves,
        public array $items,
        public array $slots = [],
        public array $parts = [],
        public bool $isEmptyMassKnown = true,
    ) {
        $this->asked = new KitList($list->code, array_map(static fn (KitPlanLine $line): Line => $line->asked, $lines), $excludes);
    }

    /**
     * The plan of a kit with modules.
     *
     * @param  list<PlanPart>  $parts  the kit itself first
     */
    public static function joined(array $parts): self
    {
        $own = $parts[0]->plan;
        $mass = 0;
        $isMassKnown = true;
        $lines = [];
        $pockets = [];
        $leaves = [];
        $items = [];
        foreach ($parts as $part) {
            $before = $part->pocketPrefix();
            $mass += $part->kit === null ? 0 : $part->plan->emptyMass;
            $isMassKnown = $isMassKnown && ($part->kit === null || $part->plan->isEmptyMassKnown);
            $items += $part->plan->items;
            foreach ($part->plan->lines as $line) {
                $lines[] = $part->prefix === '' ? $line : $line->inModule("{$part->prefix}.", $part->kit === null ? null : $before);
            }
            if ($part->kit === null) {
                continue;
            }
            foreach ($part->plan->leaves as $leaf) {
                $name = match (true) {
                    $part->prefix === '' => $leaf->name,
                    count($part->plan->leaves) === 1 => $part->name,
                    default => "{$part->name}, {$leaf->name}",
                };
                $on = array_map(static fn (PlanPocket $pocket): PlanPocket => $pocket->on($name, $before), $leaf->pockets);
                $leaves[] = new PlanLeaf($name, $on);
                $pockets += array_combine(array_map(static fn (PlanPocket $pocket): string => $pocket->id, $on), $on);
            }
        }

        return new self(
            $own->editionId, $own->number, $own->designId, $own->code, $own->name, $mass, $own->maxMass, $own->policy, $own->list,
            $own->excludes, $lines, $pockets, $leaves, $items, $own->slots, $parts, $isMassKnown,
        );
    }

    /**
     * The same as though it kept another edition of its list.
     *
     * @param  list<KitPlanLine>  $lines
     * @param  list<ItemClass>  $excludes
     * @param  array<string, Item>  $items  besides those it names now
     */
    public function keeping(array $lines, array $excludes, array $items): self
    {
        return new self(
            $this->editionId, $this->number, $this->designId, $this->code, $this->name, $this->emptyMass, $this->maxMass, $this->policy,
            $this->list, $excludes, $lines, $this->pockets, $this->leaves, $this->items + $items, $this->slots,
            isEmptyMassKnown: $this->isEmptyMassKnown,
        );
    }

    public function line(string $code): KitPlanLine
    {
        foreach ($this->lines as $line) {
            if ($line->code() === $code) {
                return $line;
            }
        }

        throw new \OutOfBoundsException("The design {$this->code} has no line {$code}.");
    }

    /** What the core judges a kit of this plan against on that day: what is planned for later is not asked for yet. */
    public function asked(?Day $on = null): KitList
    {
        $now = array_filter($this->lines, static fn (KitPlanLine $line): bool => $line->isAskedOn($on));

        return count($now) === count($this->lines) ? $this->asked : new KitList(
            $this->list->code,
            array_map(static fn (KitPlanLine $line): Line => $line->asked, array_values($now)),
            $this->excludes,
        );
    }

    /** How many lines are planned and not asked for on that day. */
    public function notYetAsked(Day $on): int
    {
        return count(array_filter($this->lines, static fn (KitPlanLine $line): bool => ! $line->isAskedOn($on)));
    }

    /** @return list<Day> the days before those on which something planned begins to be asked for */
    public function lastDaysBefore(): array
    {
        $days = [];
        foreach ($this->lines as $line) {
            if ($line->from !== null) {
                $days[] = $line->from->plusDays(-1);
            }
        }

        return $days;
    }

    /** "Lid, top net": what the kit's document calls a pocket. */
    public function pocketName(string $id): string
    {
        $pocket = $this->pockets[$id] ?? null;

        return $pocket === null ? 'elsewhere' : "{$pocket->leaf}, {$pocket->name}";
    }
}
