<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Draft\Draft;
use App\Designs\Draft\DraftCompartment;
use App\Designs\Draft\DraftConfiguration;
use App\Designs\Draft\DraftLine;
use App\Designs\Draft\DraftPlacement;
use App\Designs\Draft\DraftPolicy;
use App\Designs\Draft\SetAside;

/**
 * Joins what two people changed in one design, each from the same edition: what only one of them changed is taken; where both changed one
 * thing otherwise, one's own stays and it is said.
 */
final class MergeDrafts
{
    /** @var list<string> what the other changed, and is taken */
    private array $taken = [];

    /** @var list<string> what both changed otherwise */
    private array $clashes = [];

    private const POLICY = [
        'empty_mass_g' => 'The weight of the empty bag', 'max_mass_g' => 'The maximum weight', 'max_volume_ml' => 'The limit of volume',
        'max_cost' => 'The limit of cost', 'expiry' => 'What becomes of expired stock', 'margin_days' => 'The days beyond the next check',
        'grace_days' => 'The days before a check is overdue',
        'not_ready_after_days' => 'The days after which an overdue kit is not ready',
        'every_unit' => 'How often it is checked', 'every_count' => 'How often it is checked',
        'before_events' => 'Whether it is checked before events', 'after_use' => 'Whether it is checked after use',
        'sealed' => 'Whether it carries a seal', 'latex_free' => 'Whether it is free of latex', 'wrappers' => 'Whether wrappers stay on',
    ];

    private function __construct()
    {
    }

    /** @param  array<string, string>  $needs  of lines, by code */
    public static function of(Draft $base, Draft $mine, Draft $theirs, array $needs): Merged
    {
        $merge = new self;
        $policy = $merge->join(
            get_object_vars($base->policy), get_object_vars($mine->policy), get_object_vars($theirs->policy),
            static fn (string $key): string => self::POLICY[$key],
        );
        $compartments = $merge->join(
            self::by($base->compartments, static fn (DraftCompartment $one): string => $one->id),
            self::by($mine->compartments, static fn (DraftCompartment $one): string => $one->id),
            self::by($theirs->compartments, static fn (DraftCompartment $one): string => $one->id),
            static fn (string $key, mixed $one): string => $one instanceof DraftCompartment ? "The pocket {$one->name}" : 'A pocket',
        );
        $kept = $compartments;
        do {
            $before = count($kept);
            $kept = array_filter($kept, static fn (DraftCompartment $one): bool => $one->parent_id === null || isset($kept[$one->parent_id]));
        } while (count($kept) < $before);
        $placements = $merge->join(
            self::placements($base), self::placements($mine), self::placements($theirs),
            static fn (string $key): string => 'Where '.($needs[$key] ?? "line {$key}").' lies',
        );
        $additions = $merge->join(
            self::by($base->additions, static fn (DraftLine $one): string => $one->code),
            self::by($mine->additions, static fn (DraftLine $one): string => $one->code),
            self::by($theirs->additions, static fn (DraftLine $one): string => $one->code),
            static fn (string $key, mixed $one): string => $one instanceof DraftLine ? "The added line {$one->need}" : "The added line {$key}",
        );
        $configurations = $merge->join(
            self::by($base->configurations, static fn (DraftConfiguration $one): string => $one->name),
            self::by($mine->configurations, static fn (DraftConfiguration $one): string => $one->name),
            self::by($theirs->configurations, static fn (DraftConfiguration $one): string => $one->name),
            static fn (string $key): string => "The configuration {$key}",
        );
        $aside = $merge->join(
            self::by($base->set_aside, static fn (SetAside $one): string => $one->about),
            self::by($mine->set_aside, static fn (SetAside $one): string => $one->about),
            self::by($theirs->set_aside, static fn (SetAside $one): string => $one->about),
            static fn (): string => 'Advice that is set aside',
        );
        $list = $merge->join(
            ['' => $base->list_id], ['' => $mine->list_id], ['' => $theirs->list_id], static fn (): string => 'The edition of the list',
        );
        $rest = $merge->join(
            ['modules' => $base->modules, 'seasons' => $base->seasons], ['modules' => $mine->modules, 'seasons' => $mine->seasons],
            ['modules' => $theirs->modules, 'seasons' => $theirs->seasons],
            static fn (string $key): string => $key === 'modules' ? 'The modules that it holds' : 'The days of the year on which it is checked',
        );

        return new Merged(
            new Draft(
                $list[''], new DraftPolicy(...$policy), $rest['modules'], $rest['seasons'], array_values($kept),
                // What lay in a pocket that the other removed lies in none.
                array_values(array_filter(
                    array_merge([], ...array_values($placements)),
                    static fn (DraftPlacement $one): bool => isset($kept[$one->compartment]),
                )),
                array_values($additions), array_values($configurations), array_values($aside),
            ),
            $merge->taken, $merge->clashes,
        );
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $base
     * @param  array<string, T>  $mine
     * @param  array<string, T>  $theirs
     * @param  callable(string, T|null): string  $say
     * @return array<string, T> in my order, what the other added last
     */
    private function join(array $base, array $mine, array $theirs, callable $say): array
    {
        $joined = [];
        foreach (array_map(strval(...), array_keys($mine + $theirs + $base)) as $key) {
            [$was, $own, $other] = [self::said($base, $key), self::said($mine, $key), self::said($theirs, $key)];
            $name = $say($key, $mine[$key] ?? $theirs[$key] ?? $base[$key] ?? null);
            $from = $mine;
            if ($other !== $was && $own === $was) {
                $from = $theirs;
                $this->taken[] = match (true) {
                    $other === null => "{$name}: removed.",
                    $was === null => "{$name}: added.",
                    default => "{$name}: changed.",
                };
            } elseif ($other !== $was && $own !== $other) {
                $this->clashes[] = match (true) {
                    $own === null => "{$name}: you removed it, and it was changed meanwhile. It stays removed.",
                    $other === null => "{$name}: it was removed meanwhile, and you changed it. Yours stays.",
                    default => "{$name}: both of you changed it. Yours stays.",
                };
            }
            if (array_key_exists($key, $from)) {
                $joined[$key] = $from[$key];
            }
        }

        return $joined;
    }

    /**
     * What it says, to be compared exactly; null where it is not there.
     *
     * @param  array<string, mixed>  $all
     */
    private static function said(array $all, string $key): ?string
    {
        return array_key_exists($key, $all) ? json_encode($all[$key], JSON_THROW_ON_ERROR) : null;
    }

    /**
     * @template T of object
     *
     * @param  list<T>  $all
     * @param  callable(T): string  $key
     * @return array<string, T>
     */
    private static function by(array $all, callable $key): array
    {
        $by = [];
        foreach ($all as $one) {
            $by[$key($one)] = $one;
        }

        return $by;
    }

    /** @return array<string, list<DraftPlacement>> by line */
    private static function placements(Draft $draft): array
    {
        $by = [];
        foreach ($draft->placements as $one) {
            $by[$one->line][] = $one;
        }

        return $by;
    }
}
