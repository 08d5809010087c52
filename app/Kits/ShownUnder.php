<?php

declare(strict_types=1);

namespace App\Kits;

use App\Judging\Judged;

/** Under which line of its pocket each row of a kit is shown: the one that the placement gave its pieces to. */
final class ShownUnder
{
    /** @var array<int, string|null> line by row */
    private array $lines = [];

    /** @var array<string, int> pieces that count for a line and are not shown under it */
    private array $elsewhere = [];

    public function __construct(private readonly Judged $judged)
    {
        $given = [];
        foreach ($judged->recorded->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                $given[$placed->row][$outcome->line->id] = ($given[$placed->row][$outcome->line->id] ?? 0) + $placed->quantity;
            }
        }
        foreach (array_keys($judged->rows) as $row) {
            $this->lines[$row] = $this->choose($row, $given[$row] ?? []);
            foreach ($given[$row] ?? [] as $line => $pieces) {
                if ((string) $line !== $this->lines[$row]) {
                    $this->elsewhere[$line] = ($this->elsewhere[$line] ?? 0) + $pieces;
                }
            }
        }
    }

    /** The code of a line that lives in the row's pocket; null where the row is beside the lines of its pocket. */
    public function line(int $row): ?string
    {
        return $this->lines[$row];
    }

    /** How many pieces count for the line and are shown under another one, or in another pocket. */
    public function elsewhere(string $line): int
    {
        return $this->elsewhere[$line] ?? 0;
    }

    /** @param  array<string, int>  $given  pieces of the row by line */
    private function choose(int $row, array $given): ?string
    {
        arsort($given);
        foreach (array_keys($given) as $line) {
            if ($this->livesBeside((string) $line, $row)) {
                return (string) $line;
            }
        }

        return $given === [] ? $this->firstThatAccepts($row) : null;
    }

    /** Pieces that count for nothing stand where they would: under the first line of their pocket that accepts them. */
    private function firstThatAccepts(int $row): ?string
    {
        $assignment = $this->judged->recorded->assignment;
        $preferences = $assignment->list->preferencesFor($assignment->counted[$row]->item);
        asort($preferences);
        foreach (array_keys($preferences) as $index) {
            $line = $assignment->list->lines[$index]->id;
            if ($this->livesBeside($line, $row)) {
                return $line;
            }
        }

        return null;
    }

    private function livesBeside(string $line, int $row): bool
    {
        return $this->judged->plan->line($line)->livesIn($this->judged->rows[$row]->pocketId);
    }
}
