<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/** A design as the core and the page need it: its list and additions, the pocket for each line, its pockets and policy. */
final readonly class KitPlan
{
    private KitList $asked;

    /**
     * @param  list<ItemClass>  $excludes
     * @param  list<KitPlanLine>  $lines
     * @param  array<string, PlanPocket>  $pockets  by id
     * @param  list<PlanLeaf>  $leaves
     * @param  array<string, Item>  $items  named by a line, by code
     */
    public function __construct(
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
    ) {
        $this->asked = new KitList($list->code, array_map(static fn (KitPlanLine $line): Line => $line->asked, $lines), $excludes);
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

    /** What the core judges a kit of this plan against. */
    public function asked(): KitList
    {
        return $this->asked;
    }

    /** "Lid, top net": what the kit's document calls a pocket. */
    public function pocketName(string $id): string
    {
        $pocket = $this->pockets[$id] ?? null;

        return $pocket === null ? 'elsewhere' : "{$pocket->leaf}, {$pocket->name}";
    }
}
