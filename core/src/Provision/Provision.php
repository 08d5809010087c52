<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/**
 * What a place needs: the fewest kits that the common figures allow, and the generous answer (rules.md, provision).
 * The figures are a starting point and not law: the user's own regulator and risk assessment decide.
 */
final readonly class Provision
{
    /** @param  list<array{area: Area, least: AreaPlan, full: AreaPlan}>  $areas */
    private function __construct(public array $areas)
    {
    }

    /** @param  list<Area>  $areas */
    public static function of(Scheme $scheme, array $areas): self
    {
        return new self(array_map(static fn (Area $area): array => [
            'area' => $area,
            'least' => new AreaPlan([...self::kitsOfPlace($scheme, $area, false), ...self::kitsOfPeople($area), ...self::modules($area, false)]),
            'full' => new AreaPlan([...self::kitsOfPlace($scheme, $area, true), ...self::kitsOfPeople($area), ...self::modules($area, true)]),
        ], $areas));
    }

    /**
     * @param  'least'|'full'  $plan
     * @return array{kits: array<string, int>, modules: array<string, int>}
     */
    public function totals(string $plan): array
    {
        $totals = ['kits' => [], 'modules' => []];
        foreach ($this->areas as $area) {
            foreach (['kits' => $area[$plan]->kits(), 'modules' => $area[$plan]->modules()] as $what => $counts) {
                foreach ($counts as $name => $count) {
                    $totals[$what][$name] = ($totals[$what][$name] ?? 0) + $count;
                }
            }
        }

        return $totals;
    }

    /** @return list<Part> */
    private static function kitsOfPlace(Scheme $scheme, Area $area, bool $full): array
    {
        if ($area->people === 0) {
            return [];
        }

        return $scheme === Scheme::KitClass ? [self::byClass($area, $full)] : self::byHeadcount($area, $full);
    }

    private static function byClass(Area $area, bool $full): Part
    {
        $each = $full ? 50 : 100;
        $byPeople = intdiv($area->people + $each - 1, $each);
        $size = $area->hazard === Hazard::Low ? KitSize::ClassA : KitSize::ClassB;
        $why = $area->points > $byPeople
            ? self::number($area->points, 'point').' too far apart to share, one at each'
            : self::people($area->people).", one for every {$each} or part of {$each}";

        return Part::kits(
            $size,
            max($area->points, $byPeople),
            self::sized(max($area->points, $byPeople), $size).": {$area->hazard->value} hazard, {$why}.",
        );
    }

    /** @return list<Part> */
    private static function byHeadcount(Area $area, bool $full): array
    {
        [$size, $count, $step] = self::base($area->hazard, $area->people);
        $why = self::people($area->people)." at {$area->hazard->value} hazard, {$step}";
        $over = $area->points - $count;
        if ($over <= 0) {
            return [Part::kits($size, $count, self::sized($count, $size).": {$why}.")];
        }
        if ($full) {
            return [
                Part::kits(
                    $size,
                    $area->points,
                    self::sized($area->points, $size).": {$why}, and one such kit at each of {$area->points} points too far apart to share.",
                ),
            ];
        }
        $perPoint = intdiv($area->people + $area->points - 1, $area->points);
        [$rest] = self::base($area->hazard, $perPoint);

        return [
            Part::kits($size, $count, self::sized($count, $size).": {$why}."),
            Part::kits(
                $rest,
                $over,
                self::sized($over, $rest).
                    ': one for each of '.
                    self::number($over, 'point').
                    " left over of {$area->points}, each for ".
                    self::people($perPoint).
                    '.',
            ),
        ];
    }

    /** @return array{KitSize, int, string} size, how many, and which step of the table */
    private static function base(Hazard $hazard, int $people): array
    {
        [$small, $each] = $hazard === Hazard::Low ? [25, 100] : [5, 25];

        return match (true) {
            $people < $small => [KitSize::Small, 1, "fewer than {$small}"],
            $people <= $each => [KitSize::Medium, 1, "{$small} to {$each}"],
            default => [KitSize::Large, intdiv($people + $each - 1, $each), "one for every {$each} or part of {$each}"],
        };
    }

    /** @return list<Part> */
    private static function kitsOfPeople(Area $area): array
    {
        $parts = [];
        if ($area->loneWorkers > 0) {
            $parts[] = Part::kits(
                KitSize::Travel,
                $area->loneWorkers,
                self::sized($area->loneWorkers, KitSize::Travel).': one for each lone worker.',
            );
        }
        if ($area->vehicles > 0) {
            $parts[] = Part::kits(KitSize::Vehicle, $area->vehicles, self::sized($area->vehicles, KitSize::Vehicle).': one for each vehicle.');
        }

        return $parts;
    }

    /** @return list<Part> */
    private static function modules(Area $area, bool $full): array
    {
        if ($area->isEmpty()) {
            return [];
        }
        $count = $full ? $area->points : 1;
        $where = $full && $area->points > 1 ? "one at each of {$area->points} points" : 'one for the area';
        $parts = array_map(
            static fn (Risk $risk): Part => Part::modules(
                $risk->value,
                $count,
                self::number($count, 'module')." for {$risk->words()}: the risk is there, {$where}.",
            ),
            $area->risks,
        );
        if (! $area->runningWater) {
            $parts[] = Part::modules(
                Risk::NO_RUNNING_WATER,
                $count,
                self::number($count, 'module')." for rinsing: there is no running water, {$where}.",
            );
        }

        return $parts;
    }

    private static function sized(int $count, KitSize $size): string
    {
        return self::number($count, "{$size->value} kit");
    }

    private static function people(int $count): string
    {
        return $count === 1 ? '1 person' : "{$count} people";
    }

    private static function number(int $count, string $thing): string
    {
        return $count === 1 ? "1 {$thing}" : "{$count} {$thing}s";
    }
}
