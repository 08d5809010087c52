<?php

declare(strict_types=1);

namespace App\Cope;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Cope\Cope;
use Sarcina\Core\Cope\Coping;
use Sarcina\Core\Cope\Emergency as Asked;
use Sarcina\Core\Cope\Need;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;

/** The supplies of a kit in the hands of one scope. Supplies on lines that are open to anyone serve bystanders too. */
final readonly class Supplies
{
    private Cope $cope;

    /**
     * @param  list<Item>  $items  of the kit and its list
     * @param  list<array{Row, bool}>  $rows  each with whether it serves a line that is open to anyone
     */
    public function __construct(Day $asOf, public Scope $scope, private array $items, private KitList $list, array $rows)
    {
        $this->cope = new Cope(new Assignment(
            $asOf, new Kit('', $scope, null, 0), new Policy(ExpiryPolicy::Strict, $asOf, 0), $items,
            new KitList('', [], $list->excludes), array_column($rows, 0),
        ), array_keys(array_filter(array_column($rows, 1))));
    }

    /** Takes the supplies of a kit as it is recorded. */
    public static function ofKit(Judgement $judgement, Scope $scope): self
    {
        $assignment = $judgement->assignment;
        $open = [];
        foreach ($judgement->lines as $outcome) {
            foreach ($outcome->line->anyoneMayUse ? $outcome->placed : [] as $placed) {
                $open[$placed->row] = ($open[$placed->row] ?? 0) + $placed->quantity;
            }
        }
        $rows = [];
        foreach ($assignment->contents as $index => $row) {
            // A row may serve an open line with some of its pieces only.
            foreach ([[$open[$index] ?? 0, true], [$row->quantity - ($open[$index] ?? 0), false]] as [$pieces, $isOpen]) {
                if ($pieces > 0) {
                    $rows[] = [new Row($row->pocket, $row->item, $row->lot, $row->expires, $pieces, $row->condition, $row->openedOn), $isOpen];
                }
            }
        }

        return new self($assignment->asOf, $scope, $assignment->items, $assignment->list, $rows);
    }

    /** Counts for how many casualties of an emergency they suffice. */
    public function with(Asked $asked): Coping
    {
        return $this->cope->with($this->isForBystanders($asked) ? new Asked($asked->code, Scope::Anyone, $asked->needs) : $asked);
    }

    /** Says whether bystanders may deal with it here: each need is served by a line open to anyone, or by an item within the scope. */
    private function isForBystanders(Asked $asked): bool
    {
        $hasOpen = false;
        foreach ($asked->needs as $need) {
            $isOpen = $this->isServed($need, $this->scope, true);
            $hasOpen = $hasOpen || $isOpen;
            if (! $isOpen && ! $this->isServed($need, $this->scope, false)) {
                return false;
            }
        }

        return $hasOpen;
    }

    private function isServed(Need $need, Scope $scope, bool $byOpenLine): bool
    {
        foreach ($this->items as $item) {
            $serves = array_filter($need->accepts, static fn (Accepted $accepted): bool => $accepted->matches($item)) !== [];
            $isThere = $byOpenLine
                ? array_filter($this->list->lines, static fn (Line $line): bool => $line->anyoneMayUse && $line->entryFor($item) !== null) !== []
                : ! $item->scope->isAbove($scope);
            if ($serves && $isThere) {
                return true;
            }
        }

        return false;
    }
}
