<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\ConfigurationContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\PlacedLine;
use App\Lists\LineContent;
use OpenApi\Attributes as OA;

/** A design as it is being packed: what an edition says, with compartments side by side, each naming what it lies in. */
#[OA\Schema]
final readonly class Draft
{
    /**
     * @param  list<string>  $modules
     * @param  list<string>  $seasons
     * @param  list<DraftCompartment>  $compartments
     * @param  list<DraftPlacement>  $placements
     * @param  list<DraftLine>  $additions
     * @param  list<DraftConfiguration>  $configurations
     * @param  list<SetAside>  $set_aside
     */
    public function __construct(
        #[OA\Property(description: 'the edition of the list that it keeps')]
        public string $list_id,
        #[OA\Property]
        public DraftPolicy $policy,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'modules that its list and additions hold already')]
        public array $modules,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'days of the year on which its kits are checked, MM-DD')]
        public array $seasons,
        #[OA\Property(items: new OA\Items(ref: DraftCompartment::class))]
        public array $compartments,
        #[OA\Property(items: new OA\Items(ref: DraftPlacement::class))]
        public array $placements,
        #[OA\Property(items: new OA\Items(ref: DraftLine::class))]
        public array $additions,
        #[OA\Property(items: new OA\Items(ref: DraftConfiguration::class))]
        public array $configurations,
        #[OA\Property(items: new OA\Items(ref: SetAside::class))]
        public array $set_aside,
    ) {
    }

    public static function of(EditionContent $content): self
    {
        [$compartments, $placements] = [[], []];
        self::flatten($content->leaves, null, $compartments, $placements);
        $paths = array_map(static fn (CompartmentContent $one): string => (string) $one->id, CompartmentContent::byPath($content->leaves));

        return new self(
            $content->listId, DraftPolicy::of($content->policy), $content->modules, $content->seasons, $compartments, $placements,
            array_map(static fn (LineContent $line): DraftLine => DraftLine::of($line), $content->additions),
            array_map(static fn (ConfigurationContent $one): DraftConfiguration => new DraftConfiguration(
                $one->name, $one->lines, array_values(array_filter(array_map(
                    static fn (string $path): ?string => $paths[$path] ?? null, $one->slots,
                ))),
            ), $content->configurations),
            array_map(
                static fn (string|int $about, string $reason): SetAside => new SetAside((string) $about, $reason),
                array_keys($content->setAside), array_values($content->setAside),
            ),
        );
    }

    /** Whether both say the same, in whatever order they say it. */
    public function saysAs(self $other): bool
    {
        return self::canonical($this) === self::canonical($other);
    }

    private static function canonical(mixed $said): mixed
    {
        if (! is_array($said) && ! is_object($said)) {
            return $said;
        }
        $parts = array_map(self::canonical(...), is_object($said) ? get_object_vars($said) : $said);
        if (array_is_list($parts)) {
            $text = static fn (mixed $part): string => json_encode($part, JSON_THROW_ON_ERROR);
            usort($parts, static fn (mixed $one, mixed $two): int => strcmp($text($one), $text($two)));
        }

        return $parts;
    }

    public function content(): EditionContent
    {
        $children = [];
        foreach ($this->compartments as $one) {
            $children[$one->parent_id ?? ''][] = $one;
        }
        $lines = [];
        foreach ($this->placements as $one) {
            $lines[$one->compartment][] = new PlacedLine($one->line, $one->quantity, $one->from_day, $one->waits_for);
        }
        $leaves = self::inside('', $children, $lines);
        $ids = [];
        foreach (CompartmentContent::byPath($leaves) as $path => $one) {
            $ids[(string) $one->id] = (string) $path;
        }

        return new EditionContent(
            $this->list_id, $this->policy->content(), array_map(static fn (DraftLine $line): LineContent => $line->content(), $this->additions),
            $this->modules, $this->seasons, $leaves,
            array_map(static fn (DraftConfiguration $one): ConfigurationContent => new ConfigurationContent(
                $one->name, $one->lines, array_values(array_filter(array_map(static fn (string $slot): ?string => $ids[$slot] ?? null, $one->slots))),
            ), $this->configurations),
            array_column(array_map(static fn (SetAside $one): array => [$one->about, $one->reason], $this->set_aside), 1, 0),
        );
    }

    /**
     * @param  list<CompartmentContent>  $from
     * @param  list<DraftCompartment>  $compartments
     * @param  list<DraftPlacement>  $placements
     */
    private static function flatten(array $from, ?string $parent, array &$compartments, array &$placements): void
    {
        foreach ($from as $one) {
            $compartments[] = DraftCompartment::of($one, $parent);
            foreach ($one->lines as $line) {
                $placements[] = new DraftPlacement($line->code, (string) $one->id, $line->quantity, $line->fromDay, $line->waitsFor);
            }
            self::flatten($one->inside, (string) $one->id, $compartments, $placements);
        }
    }

    /**
     * @param  array<string, list<DraftCompartment>>  $children  by what they lie in
     * @param  array<string, list<PlacedLine>>  $lines  by compartment
     * @return list<CompartmentContent>
     */
    private static function inside(string $parent, array $children, array $lines): array
    {
        $rest = array_diff_key($children, [$parent => 0]);

        return array_map(static fn (DraftCompartment $one): CompartmentContent => new CompartmentContent(
            $one->kind, $one->name, $one->id, $one->row, $one->column, $one->row_span, $one->column_span, $one->closure, $one->outside,
            $one->sealed, $one->caution, $one->properties, $one->slot_design, $lines[$one->id] ?? [], self::inside($one->id, $rest, $lines),
            $one->max_mass_g, $one->volume_ml, $one->looked_for,
        ), $children[$parent] ?? []);
    }
}
