<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Models\Item;
use App\Catalogue\NeverFor;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\PlacedLine;
use App\Lists\LineContent;
use App\Lists\Models\KitList;

/** What is wrong with an edition of a design as somebody wrote it, in words: nothing of it is published while there is any. */
final class DesignFaults
{
    /** Compartments that lie within another, the leaf counted. */
    public const LEVELS = 3;

    public const POCKETS = 30;

    public const LINES = 150;

    public function __construct(private readonly NeverFor $neverFor, private readonly ExcludedLines $excluded)
    {
    }

    /**
     * @param  list<string>  $designs  codes of those that a slot may name
     * @return list<string>
     */
    public function of(EditionContent $content, KitList $list, array $designs): array
    {
        $needs = self::needs($content, $list);
        $codes = [...$list->lines->pluck('code')->all(), ...array_map(static fn (LineContent $line): string => $line->code, $content->additions)];
        $placed = [];
        $names = [];
        $problems = self::compartments($content->leaves, '', 1, $names, $placed, $designs);
        $pockets = count(array_filter($names, static fn (string $kind): bool => $kind !== 'leaf'));
        if ($pockets > self::POCKETS) {
            $problems[] = 'A design has at most '.self::POCKETS." pockets, pouches and slots, and this one has {$pockets}. Join some of them.";
        }
        if (count($codes) > self::LINES) {
            $problems[] = 'A design has at most '.self::LINES.' lines, and this one has '.count($codes).'. Put some of them into a module.';
        }
        foreach (array_filter(array_count_values($codes), static fn (int $times): bool => $times > 1) as $code => $times) {
            $problems[] = "Two lines have the code {$code}. Give one of them another.";
        }

        return [
            ...$problems, ...self::placements($placed, $needs, self::quantities($content, $list)), ...self::lookedFor($content->leaves, $needs),
            ...self::configurations($content, $needs, $names), ...$this->additions($content), ...($this->excluded)($content, $list),
        ];
    }

    /** @return array<string, string> by the code of the line */
    private static function needs(EditionContent $content, KitList $list): array
    {
        $needs = array_map(strval(...), $list->lines->pluck('need', 'code')->all());
        foreach ($content->additions as $line) {
            $needs[$line->code] = $line->need;
        }

        return $needs;
    }

    /**
     * @param  list<CompartmentContent>  $compartments
     * @param  array<string, string>  $names  kinds of all that were met, by path
     * @param  list<PlacedLine>  $placed
     * @param  list<string>  $designs
     * @return list<string>
     */
    private static function compartments(array $compartments, string $before, int $level, array &$names, array &$placed, array $designs): array
    {
        $problems = [];
        foreach ($compartments as $one) {
            $path = $before === '' ? $one->name : "{$before}, {$one->name}";
            if (isset($names[$path])) {
                $problems[] = "The pocket \"{$path}\" is there twice.";
            }
            $names[$path] = $one->kind;
            array_push($placed, ...$one->lines);
            if ($level > self::LEVELS) {
                $problems[] = "\"{$path}\" lies too deep: a design has ".self::LEVELS.' levels.';
            }
            if ($one->kind === 'leaf' && $one->lines !== []) {
                $problems[] = "\"{$path}\" holds pockets, and no line by itself. Put its lines into a pocket.";
            }
            if (($one->kind === 'slot') !== ($one->slotDesign !== null)) {
                $problems[] = "\"{$path}\": a slot names the design of its module, and nothing else does.";
            }
            if ($one->kind === 'slot' && ($one->lines !== [] || $one->inside !== [])) {
                $problems[] = "\"{$path}\": a slot holds a module and no lines of its own.";
            }
            if ($one->slotDesign !== null && ! in_array($one->slotDesign, $designs, true)) {
                $problems[] = "\"{$path}\": there is no design \"{$one->slotDesign}\".";
            }
            array_push(
                $problems, ...self::overlaps($one, $path), ...self::compartments($one->inside, $path, $level + 1, $names, $placed, $designs),
            );
        }

        return $problems;
    }

    /** @return list<string> pockets of a part that would be drawn over each other: one of them would not be seen in the open kit */
    private static function overlaps(CompartmentContent $part, string $path): array
    {
        $problems = [];
        $taken = [];
        foreach ($part->kind === 'leaf' ? $part->inside : [] as $one) {
            for ($row = $one->row; $row < $one->row + $one->rowSpan; $row++) {
                for ($column = $one->column; $column < $one->column + $one->columnSpan; $column++) {
                    $other = $taken[$row][$column] ??= $one->name;
                    if ($other !== $one->name) {
                        $problems["{$one->name} {$other}"] = "\"{$path}, {$one->name}\" lies over \"{$other}\". Change its row, column or size.";
                    }
                }
            }
        }

        return array_values($problems);
    }

    /**
     * @param  list<CompartmentContent>  $leaves
     * @param  array<string, string>  $needs
     * @return list<string>
     */
    private static function lookedFor(array $leaves, array $needs): array
    {
        $problems = [];
        foreach (CompartmentContent::byPath($leaves) as $path => $one) {
            foreach (array_diff($one->lookedFor, array_map(strval(...), array_keys($needs))) as $code) {
                $problems[] = "\"{$path}\" says that line {$code} is looked for there, and there is no such line.";
            }
        }

        return $problems;
    }

    /**
     * @param  list<PlacedLine>  $placed
     * @param  array<string, string>  $needs  by code
     * @param  array<string, int>  $quantities  pieces that a line asks for, by code
     * @return list<string>
     */
    private static function placements(array $placed, array $needs, array $quantities): array
    {
        $homes = [];
        foreach ($placed as $line) {
            $homes[$line->code][] = $line;
        }
        $problems = [];
        foreach (array_diff_key($homes, $needs) as $code => $lines) {
            $problems[] = "Line {$code} stands neither in the list nor among the additions.";
        }
        foreach (array_diff_key($needs, $homes) as $code => $need) {
            $problems[] = "\"{$need}\" (line {$code}) has no pocket.";
        }
        foreach (array_intersect_key($homes, $needs) as $code => $lines) {
            $name = "\"{$needs[$code]}\" (line {$code})";
            $isUndivided = array_filter($lines, static fn (PlacedLine $line): bool => $line->quantity === null) !== [];
            $sum = array_sum(array_map(static fn (PlacedLine $line): int => (int) $line->quantity, $lines));
            $plans = array_unique(array_map(static fn (PlacedLine $line): string => "{$line->fromDay} {$line->waitsFor}", $lines));
            $problems[] = match (true) {
                count($lines) > 1 && $isUndivided => "{$name} is in two pockets: say how many of it lie in each.",
                ! $isUndivided && $sum !== ($quantities[$code] ?? $sum) => "{$name} asks for {$quantities[$code]}, and {$sum} are put into ".
                    'pockets. Make them the same.',
                count($plans) > 1 => "{$name} is in two pockets: plan it alike in both.",
                $lines[0]->fromDay !== null && $lines[0]->waitsFor !== null => "{$name} is planned from a day, or waits for something, not both.",
                default => null,
            };
        }

        return array_values(array_filter($problems));
    }

    /** @return array<string, int> */
    private static function quantities(EditionContent $content, KitList $list): array
    {
        $quantities = [];
        foreach ($list->lines as $line) {
            if ($line->quantity !== null) {
                $quantities[$line->code] = $line->quantity;
            }
        }
        foreach ($content->additions as $line) {
            if ($line->quantity !== null) {
                $quantities[$line->code] = $line->quantity;
            }
        }

        return $quantities;
    }

    /**
     * @param  array<string, string>  $needs  by code
     * @param  array<string, string>  $names  kinds by path
     * @return list<string>
     */
    private static function configurations(EditionContent $content, array $needs, array $names): array
    {
        $problems = [];
        $seen = [];
        foreach ($content->configurations as $one) {
            if (isset($seen[mb_strtolower($one->name)])) {
                $problems[] = "The configuration {$one->name} is there twice.";
            }
            $seen[mb_strtolower($one->name)] = true;
            foreach (array_diff($one->lines, array_map(strval(...), array_keys($needs))) as $code) {
                $problems[] = "The configuration {$one->name} switches line {$code}, which is not there.";
            }
            foreach ($one->slots as $slot) {
                if (($names[$slot] ?? '') !== 'slot') {
                    $problems[] = "The configuration {$one->name} switches the slot \"{$slot}\", which is not there.";
                }
            }
        }

        return $problems;
    }

    /** @return list<string> */
    private function additions(EditionContent $content): array
    {
        $problems = [];
        $named = [];
        foreach ($content->additions as $line) {
            array_push($named, ...array_filter(array_map(static fn ($entry): ?string => $entry->item, $line->accepts)));
        }
        foreach (array_diff($named, Item::query()->whereIn('code', $named)->pluck('code')->all()) as $code) {
            $problems[] = "There is no item \"{$code}\" in the catalogue.";
        }
        foreach ($content->additions as $line) {
            foreach ($this->neverFor->faultsOf($line->accepts) as $place => $fault) {
                $problems[] = "\"{$line->need}\" (line {$line->code}), accepts {$place}: {$fault}";
            }
        }

        return $problems;
    }
}
