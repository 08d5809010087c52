<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Designs\Draft\Draft;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\EditionPolicy;
use App\Designs\Edition\PlacedLine;
use App\Designs\Edition\ReadEdition;
use App\Designs\Http\DraftStart;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Judging\Judged;
use App\Judging\KitJudge;
use App\Kits\Models\Kit;
use App\Kits\ShownUnder;
use App\Lists\EntryContent;
use App\Lists\LineContent;
use App\Lists\Models\KitList;
use Illuminate\Support\Str;

/** What the packing of a design begins with: an edition of it, a list, a kit as it stands, or nothing. */
final class ReadDrafts
{
    public function __construct(private readonly ReadEdition $read, private readonly KitJudge $judge, private readonly Catalogue $catalogue)
    {
    }

    public function ofEdition(Design $design, DesignEdition $edition): DraftStart
    {
        return new DraftStart($design->id, $design->name, $edition->id, $edition->number, $design->serves, Draft::of(($this->read)($edition)));
    }

    /** Pockets by class of item; or one part with nothing in it. */
    public function ofList(KitList $list, bool $isEmpty): DraftStart
    {
        $leaves = $isEmpty ? [new CompartmentContent('leaf', 'Main')] : DesignFromList::proposal($list);

        return self::new($list->title, new EditionContent(
            $list->id, new EditionPolicy(everyUnit: 'weeks', everyCount: 12), [], [], [], array_map(self::anew(...), $leaves),
        ));
    }

    /** A kit as it stands: its pockets, each line where its pieces lie, and what no line takes as lines of the design. */
    public function ofKit(Kit $kit, string $today): DraftStart
    {
        $content = ($this->read)(DesignEdition::query()->findOrFail($kit->design_edition_id));
        $judged = $this->judge->judge($kit, $today);
        [$lying, $additions, $added] = $this->lying($judged, $content);
        $leaves = array_map(static fn (CompartmentContent $leaf): CompartmentContent => self::packed($leaf, $lying, $added), $content->leaves);

        return self::new("As {$kit->code} {$kit->name}", new EditionContent(
            $content->listId, $content->policy, [...$content->additions, ...$additions], $content->modules, $content->seasons,
            array_map(self::anew(...), $leaves),
            $content->configurations, $content->setAside,
        ));
    }

    /**
     * Where the pieces of each line lie, most first; and what lies there for no line.
     *
     * @return array{array<string, list<string>>, list<LineContent>, array<string, list<string>>} pockets by line, added lines, added codes by pocket
     */
    private function lying(Judged $judged, EditionContent $content): array
    {
        $shown = new ShownUnder($judged);
        $pieces = [];
        $loose = [];
        foreach ($judged->rows as $index => $row) {
            if (str_contains($row->pocketId, '.')) {
                continue;
            }
            $line = $shown->line($index) ?? $this->countsFor($judged, $index);
            if ($line !== null) {
                $pieces[$line][$row->pocketId] = ($pieces[$line][$row->pocketId] ?? 0) + $row->quantity;
            } else {
                $loose[$row->itemCode][$row->pocketId] = ($loose[$row->itemCode][$row->pocketId] ?? 0) + $row->quantity;
            }
        }
        $lying = array_map(static function (array $pockets): array {
            arsort($pockets);

            return array_map(strval(...), array_keys($pockets));
        }, $pieces);
        $taken = array_map(static fn (LineContent $line): string => $line->code, $content->additions);
        [$additions, $added] = [[], []];
        foreach ($loose as $item => $pockets) {
            for ($number = 1; in_array("K{$number}", $taken, true); $number++);
            $taken[] = "K{$number}";
            arsort($pockets);
            $additions[] = new LineContent(
                "K{$number}", $this->catalogue->name((string) $item), 'optional', (int) array_sum($pockets), null, null,
                [new EntryContent((string) $item, null)], null,
            );
            $added[(string) array_key_first($pockets)][] = "K{$number}";
        }

        return [$lying, $additions, $added];
    }

    private function countsFor(Judged $judged, int $row): ?string
    {
        foreach ($judged->judgement->lines as $outcome) {
            foreach ($outcome->placed as $placed) {
                if ($placed->row === $row && ! str_contains($outcome->line->id, '.')) {
                    return $outcome->line->id;
                }
            }
        }

        return null;
    }

    /**
     * @param  array<string, list<string>>  $lying  pockets by line
     * @param  array<string, list<string>>  $added  codes by pocket
     */
    private static function packed(CompartmentContent $one, array $lying, array $added): CompartmentContent
    {
        $lines = array_values(array_filter($one->lines, static fn (PlacedLine $line): bool => $line->quantity !== null
            || ($lying[$line->code][0] ?? $one->id) === $one->id));
        $here = array_map(static fn (PlacedLine $line): string => $line->code, $one->lines);
        foreach ($lying as $code => $pockets) {
            if ($pockets[0] === $one->id && ! in_array((string) $code, $here, true)) {
                $lines[] = new PlacedLine((string) $code);
            }
        }
        foreach ($added[(string) $one->id] ?? [] as $code) {
            $lines[] = new PlacedLine($code);
        }

        return $one->with($lines, array_map(
            static fn (CompartmentContent $in): CompartmentContent => self::packed($in, $lying, $added), $one->inside,
        ));
    }

    /** The same with compartments of its own. */
    private static function anew(CompartmentContent $one): CompartmentContent
    {
        return $one->with($one->lines, array_map(self::anew(...), $one->inside), Str::lower((string) Str::ulid()));
    }

    private static function new(string $name, EditionContent $content): DraftStart
    {
        return new DraftStart(null, $name, null, null, null, Draft::of($content));
    }
}
