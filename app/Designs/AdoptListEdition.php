<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Edition\ReadEdition;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Publishes the next edition of a design, which keeps another edition of its list: lines keep their pockets, new ones get one. */
final class AdoptListEdition
{
    public function __construct(private readonly ReadEdition $read, private readonly PublishEdition $publish)
    {
    }

    /** @param  array<string, string>  $pockets  pocket ids by the code of a line that has none in this design yet */
    public function __invoke(Design $design, KitList $list, array $pockets, CarbonInterface $at): DesignEdition
    {
        return Transaction::run(function () use ($design, $list, $pockets, $at): DesignEdition {
            $design = Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $latest = $design->latest()->with('list')->first();
            if ($latest === null || $latest->list->code !== $list->code || $latest->list_id === $list->id) {
                throw ValidationException::withMessages(['design' => "{$design->name} does not keep another edition of this list."]);
            }
            $placed = DB::table('placements')->where('design_edition_id', $latest->id)->pluck('line_code')->all();
            $own = DB::table('compartments')->where('design_edition_id', $latest->id)->whereIn('kind', ['pocket', 'pouch'])
                ->pluck('pocket_id')->all();
            $chosen = [];
            $errors = [];
            foreach ($list->lines()->get() as $line) {
                /** @var Line $line */
                if (in_array($line->code, $placed, true)) {
                    continue;
                }
                $pocket = strtolower($pockets[$line->code] ?? (count($own) === 1 ? $own[0] : ''));
                if (! in_array($pocket, $own, true)) {
                    $errors["pockets.{$line->code}"] = "Choose the pocket in which \"{$line->need}\" goes in {$design->name}.";
                }
                $chosen[$line->code] = $pocket;
            }
            if ($errors !== []) {
                throw ValidationException::withMessages($errors);
            }
            $codes = array_values(array_map(strval(...), $list->lines()->pluck('code')->all()));

            return ($this->publish)($design, ($this->read)($latest)->keeping($list->id, $codes, $chosen), $at);
        });
    }
}
