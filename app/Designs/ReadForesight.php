<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Catalogue\Prices;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Http\ForeseenAdvice;
use App\Designs\Http\ForeseenLine;
use App\Designs\Http\ForeseenLoad;
use App\Designs\Http\ForesightResource;
use App\Designs\Http\MayLeaveOut;
use App\Designs\Http\MissedRemark;
use App\Designs\Models\Design;
use App\Judging\Words;
use App\Kits\ReadKit;
use App\Lists\Models\KitList;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Packing\Hint;
use Sarcina\Core\Packing\Hints;
use Sarcina\Core\Packing\LeaveOut;
use Sarcina\Core\Packing\Load;
use Sarcina\Core\Packing\PackedLine;

/** What a design that somebody packs makes, while they pack it. */
final class ReadForesight
{
    public function __construct(
        private readonly LoadPacking $load,
        private readonly DesignFaults $faults,
        private readonly HintWords $words,
        private readonly Catalogue $catalogue,
        private readonly Prices $prices,
        private readonly Organisation $organisation,
        private readonly HazardsAnswered $hazards,
    ) {
    }

    public function __invoke(?Design $design, EditionContent $content, string $today): ForesightResource
    {
        $packed = ($this->load)($design, $content, $today);
        $list = KitList::query()->with('lines')->findOrFail($content->listId);
        $names = [];
        foreach (CompartmentContent::byPath($content->leaves) as $path => $one) {
            $names[(string) $one->id] = (string) $path;
        }
        $loads = [$this->loadOf($packed, $content, null)];
        foreach (CompartmentContent::byPath($content->leaves) as $one) {
            $loads[] = $this->loadOf($packed, $content, $one);
        }

        return new ForesightResource(
            ReadKit::list($packed->plan),
            $this->organisation->currency,
            $this->faults->of($content, $list, Design::codesBeside($design)),
            array_map(fn (PackedLine $line): ForeseenLine => $this->line($packed, $line), $packed->packing->lines),
            $loads,
            array_map(fn (Hint $hint): ForeseenAdvice => new ForeseenAdvice(
                $hint->subject(), $hint->kind->value, $this->words->say($hint, $packed->plan, $names, $content->policy->wrappers), $hint->line,
                $hint->compartment, $content->setAside[$hint->subject()] ?? null,
            ), Hints::of($packed->packing)),
            $this->leaveOut($design, LeaveOut::ranked($packed->packing->lines)),
        );
    }

    /**
     * @param  list<LeaveOut>  $offers  what frees most first
     * @return list<MayLeaveOut> those that answer no hazard of the kits' places first
     */
    private function leaveOut(?Design $design, array $offers): array
    {
        $missed = self::missed($design);
        $codes = array_map(static fn (LeaveOut $one): string => $one->line->item->code ?? '', $offers);
        $hazards = $this->hazards->of($design, array_values(array_unique($codes)));
        $all = array_map(fn (LeaveOut $one, string $code): MayLeaveOut => new MayLeaveOut(
            $one->line->code, $code, "{$one->pieces} × {$this->catalogue->name($code)}", $one->mass,
            $one->bulk, $this->prices->byThePiece([$code => $one->pieces])[0], $missed[$code] ?? [], $hazards[$code] ?? [],
        ), $offers, $codes);

        return [
            ...array_values(array_filter($all, static fn (MayLeaveOut $one): bool => $one->hazards === [])),
            ...array_values(array_filter($all, static fn (MayLeaveOut $one): bool => $one->hazards !== [])),
        ];
    }

    /** @return array<string, list<MissedRemark>> by the code of the item, the latest first */
    private static function missed(?Design $design): array
    {
        $missed = [];
        $rows = $design === null ? [] : DB::table('missed_items')->join('items', 'items.id', '=', 'missed_items.item_id')
            ->join('users', 'users.id', '=', 'missed_items.user_id')->where('design_id', $design->id)
            ->orderByDesc('left_on')->orderBy('missed_items.id')
            ->get(['missed_items.id', 'left_on', 'note', 'items.code', 'users.name']);
        foreach ($rows as $row) {
            $missed[(string) $row->code][] = new MissedRemark(
                $row->id, 'Left behind on '.Words::date($row->left_on).", then missed: {$row->note}", $row->name,
            );
        }

        return $missed;
    }

    private function line(PackedDesign $packed, PackedLine $line): ForeseenLine
    {
        $planned = $packed->plan->line($line->code);
        $item = $line->item === null ? null : $this->catalogue->item($line->item->code);

        return new ForeseenLine(
            $line->code, $planned->need, $line->rank->value, $planned->listId === null, self::required($planned->asked), $line->asked,
            $line->item?->code, $item?->name, $line->item?->class->name, $item?->caution,
            $line->item === null ? null : $line->asked * $line->item->mass, $line->handling->startMinutes,
        );
    }

    private static function required(Line $line): string
    {
        return $line->total === null ? (string) $line->pieces() : "{$line->total->measure} {$line->total->wanted->text}";
    }

    private function loadOf(PackedDesign $packed, EditionContent $content, ?CompartmentContent $one): ForeseenLoad
    {
        $load = Load::of($packed->packing->lines, $one === null ? null : self::within($one));
        [$cost, $without] = $this->prices->byThePiece($load->pieces);

        return $one === null
            ? new ForeseenLoad(
                null, $load->mass + ($content->policy->emptyMass ?? 0), $content->policy->maxMass, $load->bulk, $content->policy->maxVolume,
                $load->withoutBulk, $cost, $content->policy->maxCost, $without, 0,
            )
            : new ForeseenLoad(
                (string) $one->id, $load->mass, $one->maxMass, $load->bulk, $one->volume, $load->withoutBulk, $cost, null, $without,
                $packed->packing->reach((string) $one->id),
            );
    }

    /** @return list<string> ids of a compartment and of what lies inside it */
    private static function within(CompartmentContent $one): array
    {
        return [(string) $one->id, ...array_merge([], ...array_map(self::within(...), $one->inside))];
    }
}
