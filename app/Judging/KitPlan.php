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
    /**
     * @param  array{expiry: string, margin_days: int, grace_days: int, every: array{string, int}|null, before_events: bool, after_use: bool, sealed: bool}  $policy
     * @param  list<string>  $seasons  MM-DD
     * @param  array{id: string, code: string, title: string, size: string|null, edition: string, basis: string, origin: string, confirmed: bool}  $list
     * @param  list<ItemClass>  $excludes
     * @param  list<KitPlanLine>  $lines
     * @param  array<string, array{name: string, leaf: string}>  $pockets  by id
     * @param  list<array{name: string, pockets: list<array{id: string, name: string, row: int, column: int, row_span: int, column_span: int}>}>  $leaves
     * @param  array<string, Item>  $items  named by a line, by code
     */
    public function __construct(
        public string $designId,
        public string $code,
        public string $name,
        public int $emptyMass,
        public ?int $maxMass,
        public array $policy,
        public array $seasons,
        public array $list,
        public array $excludes,
        public array $lines,
        public array $pockets,
        public array $leaves,
        public array $items,
    ) {
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
        return new KitList($this->list['code'], array_map(static fn (KitPlanLine $line): Line => $line->asked, $this->lines), $this->excludes);
    }

    /** "Lid, top net": what the kit's document calls a pocket. */
    public function pocketName(string $id): string
    {
        $pocket = $this->pockets[$id] ?? null;

        return $pocket === null ? 'elsewhere' : "{$pocket['leaf']}, {$pocket['name']}";
    }
}
