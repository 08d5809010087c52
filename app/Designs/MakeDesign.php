<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\EditionPolicy;
use App\Designs\Edition\PlacedLine;
use App\Designs\Models\Design;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use App\Support\DoneAtTheSameMoment;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Kit\ExpiryPolicy;

/** Makes a design for a list as somebody lays it out: leaves, their pockets, and each line in one of them; ends one that nothing uses. */
final class MakeDesign
{
    public function __construct(private readonly PublishEdition $publish)
    {
    }

    /** Sent twice, one design is made. */
    public function __invoke(NewDesign $new, CarbonInterface $at): Design
    {
        return Transaction::run(function () use ($new, $at): Design {
            $known = Design::query()->find($new->id);
            if ($known !== null) {
                return $known;
            }
            $list = KitList::query()->with('lines')->findOrFail($new->listId);
            self::refuseLines($list, $new->leaves);
            $design = new Design(['id' => $new->id, 'code' => $this->code($new->name), 'name' => $new->name]);
            try {
                $design->save();
            } catch (UniqueConstraintViolationException) {
                throw new DoneAtTheSameMoment;
            }
            ($this->publish)($design, new EditionContent(
                $list->id,
                new EditionPolicy(
                    $new->emptyMass, null, ExpiryPolicy::Strict, $new->marginDays, everyUnit: 'weeks', everyCount: $new->everyWeeks,
                    sealed: $new->isSealed,
                ),
                [], [], [], self::leaves($new->leaves),
            ), $at);

            return $design;
        });
    }

    public function retire(Design $design, string $day): void
    {
        Transaction::run(function () use ($design, $day): void {
            $design = Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $kits = Kit::query()->where('retired_on', null)->whereHas('edition', static fn ($edition) => $edition->where('design_id', $design->id))
                ->orderBy('code')->limit(6)->pluck('code')->all();
            if ($kits !== []) {
                $codes = implode(', ', array_map(static fn (mixed $code): string => is_scalar($code) ? (string) $code : '', array_slice($kits, 0,
                    5)));
                throw ValidationException::withMessages([
                    'design' => "Kits of this design are in service: {$codes}".(count($kits) > 5 ? ', …'
                        : '').'. Only a design that no kit uses is retired.',
                ]);
            }
            $design->update(['retired_on' => $day]);
        });
    }

    /**
     * @param  list<LaidOutLeaf>  $leaves
     *
     * @throws ValidationException where a line is in no pocket, or in two
     */
    private static function refuseLines(KitList $list, array $leaves): void
    {
        $placed = array_merge([], ...array_map(
            static fn (LaidOutLeaf $leaf): array => array_merge([], ...array_values($leaf->pockets)),
            $leaves,
        ));
        $needs = $list->lines->pluck('need', 'code')->all();
        $missing = array_values(array_intersect_key($needs, array_flip(array_diff(array_keys($needs), $placed))));
        $strange = array_diff($placed, array_keys($needs));
        $twice = array_keys(array_filter(array_count_values($placed), static fn (int $times): bool => $times > 1));
        $fault = match (true) {
            $missing !== [] => 'These lines are in no pocket yet: '.implode(', ', $missing).'.',
            $strange !== [] => 'The list has changed meanwhile. Load the page again.',
            $twice !== [] => "The line {$needs[$twice[0]]} is in two pockets. Choose one.",
            default => null,
        };
        if ($fault !== null) {
            throw ValidationException::withMessages(['leaves' => $fault]);
        }
    }

    /**
     * @param  list<LaidOutLeaf>  $leaves
     * @return list<CompartmentContent>
     */
    private static function leaves(array $leaves): array
    {
        return array_map(static function (LaidOutLeaf $leaf): CompartmentContent {
            $names = array_map(strval(...), array_keys($leaf->pockets));

            return new CompartmentContent('leaf', $leaf->name, inside: array_map(
                static fn (string $name, int $index): CompartmentContent => new CompartmentContent(
                    'pocket', $name, row: intdiv($index, 2) + 1, column: $index % 2 + 1,
                    columnSpan: $index % 2 === 0 && $index === count($names) - 1 ? 2 : 1,
                    lines: array_map(static fn (string $code): PlacedLine => new PlacedLine($code), $leaf->pockets[$name]),
                ),
                $names,
                array_keys($names),
            ));
        }, $leaves);
    }

    private function code(string $name): string
    {
        $slug = Str::limit(Str::slug($name) ?: 'design', 50, '');
        for ($number = 1, $code = $slug; Design::query()->where('code', $code)->exists(); $code = "{$slug}-".++$number);

        return $code;
    }
}
