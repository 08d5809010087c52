<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Catalogue\Prices;
use App\Designs\Edition\ReadEdition;
use App\Designs\Http\BesideResource;
use App\Designs\Http\BesideRow;
use App\Designs\Http\BesideSide;
use App\Designs\Http\EditionChoice;
use App\Designs\Models\DesignEdition;
use App\Judging\KitPlan;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Packing\Load;
use Sarcina\Core\Packing\PackedLine;
use stdClass;

/** Two designs, editions or configurations beside each other, each packed as it asks. */
final class ReadBeside
{
    public function __construct(
        private readonly LoadPacking $load,
        private readonly ReadEdition $read,
        private readonly Catalogue $catalogue,
        private readonly Prices $prices,
        private readonly Organisation $organisation,
    ) {
    }

    /** @return list<EditionChoice> published editions of designs in use, by name, the latest first */
    public function choices(): array
    {
        $configurations = DB::table('configurations')->orderBy('name')->get()->groupBy('design_edition_id');

        return array_values(DB::table('design_editions')->join('designs', 'designs.id', '=', 'design_editions.design_id')
            ->whereNull('retired_on')->whereNotNull('published_at')->orderBy('designs.name')->orderByDesc('number')
            ->get(['design_editions.id', 'designs.name', 'number'])->map(static fn (stdClass $row): EditionChoice => new EditionChoice(
                $row->id, $row->name, (int) $row->number,
                array_values(array_map(strval(...), $configurations->get($row->id)?->pluck('name')->all() ?? [])),
            ))->all());
    }

    /**
     * @param  array{string, string}  $one  an edition's id, and a configuration or nothing
     * @param  array{string, string}  $other
     */
    public function __invoke(array $one, array $other, string $today): BesideResource
    {
        [$first, $left] = $this->side(...[...$one, $today]);
        [$second, $right] = $this->side(...[...$other, $today]);
        $rows = [];
        foreach (array_map(strval(...), array_keys($left + $right)) as $code) {
            $item = $this->catalogue->item($code);
            $rows[] = new BesideRow(
                $code, $item->name ?? $code, $item->class ?? '', $left[$code][0] ?? 0, $left[$code][1] ?? '', $right[$code][0] ?? 0,
                $right[$code][1] ?? '',
            );
        }
        $rank = static fn (BesideRow $row): int => match (true) {
            $row->one !== $row->other => 0,
            $row->one_in !== $row->other_in => 1,
            default => 2,
        };
        usort($rows, static fn (BesideRow $a, BesideRow $b): int => [$rank($a), $a->name] <=> [$rank($b), $b->name]);

        return new BesideResource($first, $second, $this->organisation->currency, $rows);
    }

    /** @return array{BesideSide, array<string, array{int, string}>} and pieces of each item with where they lie */
    private function side(string $editionId, string $configuration, string $today): array
    {
        $edition = DesignEdition::query()->with(['design', 'list'])->whereNotNull('published_at')->find($editionId)
            ?? throw ValidationException::withMessages(['one' => 'Choose two published editions.']);
        $content = ($this->read)($edition);
        $known = array_map(static fn ($one): string => $one->name, $content->configurations);
        if ($configuration !== '' && ! in_array($configuration, $known, true)) {
            throw ValidationException::withMessages(['one' => "{$edition->name()} has no configuration \"{$configuration}\"."]);
        }
        $packed = $this->load->setTo($configuration === '' ? null : $configuration, $edition->design, $content, $today);
        $load = Load::of($packed->packing->lines);
        [$cost] = $this->prices->byThePiece($load->pieces);
        $title = $configuration === '' ? $edition->name() : "{$edition->name()}, {$configuration}";

        return [
            new BesideSide(
                $title, $edition->list->title, $load->mass + ($content->policy->emptyMass ?? 0), $content->policy->maxMass, $load->bulk, $cost,
                count($packed->packing->lines), count($packed->plan->pockets),
            ),
            self::pieces($packed->plan, $packed->packing->lines),
        ];
    }

    /**
     * @param  list<PackedLine>  $lines
     * @return array<string, array{int, string}> by item
     */
    private static function pieces(KitPlan $plan, array $lines): array
    {
        [$count, $where] = [[], []];
        foreach ($lines as $line) {
            $code = $line->item?->code;
            foreach ($code === null ? [] : $line->pieces as $pocket => $pieces) {
                $count[$code] = ($count[$code] ?? 0) + $pieces;
                $where[$code][$plan->pocketName((string) $pocket)] = true;
            }
        }

        $pieces = [];
        foreach ($count as $code => $of) {
            $pieces[(string) $code] = [$of, implode('; ', array_keys($where[$code]))];
        }

        return $pieces;
    }
}
