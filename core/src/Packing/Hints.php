<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

use Sarcina\Core\Kit\CompanionNeed;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Rank;

/** What a packer would say to a colleague about a kit that is being packed: facts only, none of which changes a verdict. */
final readonly class Hints
{
    /** Means that back each other up: where there is one alone, nothing is left when it fails. */
    private const PAIRS = [['tourniquet', 'dressing.pressure']];

    private const GLOVES = 'gloves';

    /** What lies between the helper and the casualty. */
    private const FIRST = ['gloves', 'resuscitation.barrier'];

    private function __construct(private Packing $packing)
    {
    }

    /** @return list<Hint> in the order of the kinds, each by line */
    public static function of(Packing $packing): array
    {
        $hints = new self($packing);

        return [
            ...$hints->companions(), ...$hints->first(), ...$hints->behind(), ...$hints->startEarly(), ...$hints->layers(), ...$hints->beyondScope(),
            ...$hints->excluded(), ...$hints->lookAlikes(), ...$hints->latex(), ...$hints->cautions(), ...$hints->oneMeans(),
            ...$hints->models(), ...$hints->gloveSizes(), ...$hints->wrappers(), ...$hints->wet(),
        ];
    }

    /** @return list<Hint> */
    private function companions(): array
    {
        $hints = [];
        foreach ($this->filled() as [$line, $item]) {
            foreach ($item->needs as $need) {
                $with = $this->linesOf($need);
                if ($with === []) {
                    $hints[] = new Hint(HintKind::CompanionMissing, $line->code, $item->code, $need->anyOf);
                } elseif (array_filter($with, fn (PackedLine $one): bool => $this->packing->areTogether($line, $one)) === []
                    && $line->pieces !== []) {
                    $hints[] = new Hint(HintKind::CompanionApart, $line->code, $item->code, array_values(array_unique(array_map(
                        static fn (PackedLine $one): string => $one->item->code ?? '', $with,
                    ))));
                }
            }
        }

        return $hints;
    }

    /** @return list<Hint> gloves and mask, where anything else is in hand before them */
    private function first(): array
    {
        $least = null;
        foreach ($this->packing->lines as $line) {
            $reach = $this->packing->reachOf($line);
            if ($reach !== null && ($least === null || $reach < $least)) {
                $least = $reach;
            }
        }
        $hints = [];
        foreach ($this->filled() as [$line, $item]) {
            $reach = $this->packing->reachOf($line);
            if ($reach !== null && $reach > $least && self::isAnyOf($item, self::FIRST)) {
                $hints[] = new Hint(HintKind::GlovesNotFirst, $line->code, $item->code, figure: $reach);
            }
        }

        return $hints;
    }

    /** @return list<Hint> what is critical behind two closures or more */
    private function behind(): array
    {
        $hints = [];
        foreach ($this->packing->lines as $line) {
            $reach = $this->packing->reachOf($line);
            if ($line->rank === Rank::Critical && $reach !== null && $reach >= 2) {
                $hints[] = new Hint(HintKind::CriticalBehind, $line->code, $line->item?->code, figure: $reach);
            }
        }

        return $hints;
    }

    /** @return list<Hint> */
    private function startEarly(): array
    {
        return $this->each(static fn (PackedLine $line, Item $item): ?Hint => $line->handling->startMinutes === null ? null
            : new Hint(HintKind::StartEarly, $line->code, $item->code, figure: $line->handling->startMinutes));
    }

    /** @return list<Hint> where no compartment holds all the layers of a dressing that the kit has */
    private function layers(): array
    {
        $all = [];
        $by = [];
        foreach ($this->packing->lines as $line) {
            if ($line->handling->layer !== null) {
                $all[$line->handling->layer->value] = $line->item->code ?? '';
                foreach (array_keys($line->pieces) as $compartment) {
                    foreach ($this->packing->around((string) $compartment) as $around) {
                        $by[$around->id][$line->handling->layer->value] = true;
                    }
                }
            }
        }
        foreach ($this->packing->compartments as $compartment) {
            if ($compartment->parent !== null && count($by[$compartment->id] ?? []) === count($all)) {
                return [];
            }
        }

        $others = [];
        foreach (Layer::cases() as $layer) {
            if (isset($all[$layer->value])) {
                $others[] = $all[$layer->value];
            }
        }

        return count($others) < 2 ? [] : [new Hint(HintKind::LayersApart, others: $others)];
    }

    /** @return list<Hint> */
    private function beyondScope(): array
    {
        $scope = $this->packing->scope;

        return $scope === null ? [] : $this->each(static fn (PackedLine $line, Item $item): ?Hint => $item->scope->isAbove($scope)
            ? new Hint(HintKind::BeyondScope, $line->code, $item->code) : null);
    }

    /** @return list<Hint> */
    private function excluded(): array
    {
        return $this->each(fn (PackedLine $line, Item $item): ?Hint => array_filter(
            $this->packing->excludes,
            static fn (ItemClass $class): bool => $class->takes($item->class),
        ) === [] ? null : new Hint(HintKind::ExcludedClass, $line->code, $item->code));
    }

    /** @return list<Hint> two that are taken for each other in one compartment: said once for the two */
    private function lookAlikes(): array
    {
        $hints = [];
        $lines = $this->filled();
        foreach ($lines as $index => [$line, $item]) {
            foreach (array_slice($lines, $index + 1) as [$other, $like]) {
                $shared = array_keys(array_intersect_key($line->pieces, $other->pieces));
                $areAlike = in_array($like->code, $line->handling->toldFrom, true) || in_array($item->code, $other->handling->toldFrom, true);
                if ($areAlike && $shared !== []) {
                    $hints[] = new Hint(HintKind::LookAlikes, $line->code, $item->code, [$like->code], (string) $shared[0]);
                }
            }
        }

        return $hints;
    }

    /** @return list<Hint> */
    private function latex(): array
    {
        return ! $this->packing->isLatexFree ? [] : $this->each(static fn (PackedLine $line, Item $item): ?Hint => $line->handling->hasLatex
            ? new Hint(HintKind::Latex, $line->code, $item->code) : null);
    }

    /** @return list<Hint> what not everybody may use, and pockets for sharps, without a word of caution */
    private function cautions(): array
    {
        $hints = $this->each(static fn (PackedLine $line, Item $item): ?Hint => ! $line->handling->hasCaution
            && ($item->onlyForTrained || $item->scope->isAbove(Scope::FirstAider))
                ? new Hint(HintKind::CautionMissing, $line->code, $item->code) : null);
        foreach ($this->packing->compartments as $one) {
            if ($one->isForSharps && ! $one->hasCaution) {
                $hints[] = new Hint(HintKind::CautionMissing, compartment: $one->id);
            }
        }

        return $hints;
    }

    /** @return list<Hint> */
    private function oneMeans(): array
    {
        $hints = [];
        foreach (self::PAIRS as $pair) {
            foreach ([[$pair[0], $pair[1]], [$pair[1], $pair[0]]] as [$there, $missing]) {
                $has = array_values(array_filter($this->filled(), static fn (array $one): bool => self::isAnyOf($one[1], [$there])));
                $backs = array_filter($this->filled(), static fn (array $one): bool => self::isAnyOf($one[1], [$missing]));
                if ($has !== [] && $backs === []) {
                    $hints[] = new Hint(HintKind::OneMeans, $has[0][0]->code, $has[0][1]->code, [$missing]);
                }
            }
        }

        return $hints;
    }

    /** @return list<Hint> two models of what must be found and used without thinking */
    private function models(): array
    {
        $hints = [];
        $seen = [];
        foreach ($this->filled() as [$line, $item]) {
            if ($line->rank !== Rank::Critical || self::isAnyOf($item, [self::GLOVES])) {
                continue;
            }
            $was = $seen[$item->class->name] ??= $item->code;
            if ($was !== $item->code) {
                $hints[] = new Hint(HintKind::TwoModels, $line->code, $item->code, [$was]);
            }
        }

        return $hints;
    }

    /** @return list<Hint> */
    private function gloveSizes(): array
    {
        $gloves = array_values(array_filter($this->filled(), static fn (array $one): bool => self::isAnyOf($one[1], [self::GLOVES])));
        $codes = array_unique(array_map(static fn (array $one): string => $one[1]->code, $gloves));

        return count($codes) !== 1 ? [] : [new Hint(HintKind::OneGloveSize, $gloves[0][0]->code, $gloves[0][1]->code)];
    }

    /** @return list<Hint> what is staged before it is packed, where wrappers stay on, or nobody chose */
    private function wrappers(): array
    {
        return $this->packing->wrappers === Wrappers::Off ? [] : $this->each(
            static fn (PackedLine $line, Item $item): ?Hint => $line->handling->unwraps && $line->rank === Rank::Critical
                ? new Hint(HintKind::WrapperLeft, $line->code, $item->code) : null,
        );
    }

    /** @return list<Hint> */
    private function wet(): array
    {
        $hints = [];
        foreach ($this->filled() as [$line, $item]) {
            foreach ($line->handling->keepDry ? array_keys($line->pieces) : [] as $compartment) {
                if ($this->packing->isExposed((string) $compartment)) {
                    $hints[] = new Hint(HintKind::Wet, $line->code, $item->code, compartment: (string) $compartment);
                }
            }
        }

        return $hints;
    }

    /**
     * @param  callable(PackedLine, Item): ?Hint  $about
     * @return list<Hint>
     */
    private function each(callable $about): array
    {
        return array_values(array_filter(array_map(
            static fn (array $one): ?Hint => $about($one[0], $one[1]),
            $this->filled(),
        )));
    }

    /** @return list<array{PackedLine, Item}> */
    private function filled(): array
    {
        $filled = [];
        foreach ($this->packing->lines as $line) {
            if ($line->item !== null) {
                $filled[] = [$line, $line->item];
            }
        }

        return $filled;
    }

    /** @return list<PackedLine> filled with what the need names */
    private function linesOf(CompanionNeed $need): array
    {
        return array_values(array_filter(
            $this->packing->lines,
            static fn (PackedLine $line): bool => $line->item !== null && in_array($line->item->code, $need->anyOf, true),
        ));
    }

    /** @param  list<string>  $classes */
    private static function isAnyOf(Item $item, array $classes): bool
    {
        return array_filter($classes, static fn (string $class): bool => (new ItemClass($class))->takes($item->class)) !== [];
    }
}
