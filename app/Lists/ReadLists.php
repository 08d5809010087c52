<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Catalogue\Measures;
use App\Catalogue\Prices;
use App\Lists\Http\ConfirmationResource;
use App\Lists\Http\EditionRef;
use App\Lists\Http\EntryResource;
use App\Lists\Http\ListLineResource;
use App\Lists\Http\ListRef;
use App\Lists\Http\ListResource;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Lists\Models\LineConfirmation;
use App\Lists\Models\LineEntry;
use Illuminate\Support\Facades\DB;

/** The lists that kits are held to, with their lines and what they rest on. */
final class ReadLists
{
    public function __construct(
        private readonly Measures $measures,
        private readonly ListLoader $plans,
        private readonly Prices $prices,
        private readonly Organisation $organisation,
    ) {
    }

    public function one(KitList $list): ListResource
    {
        $list->load([
            'lines.entries.item',
            'lines.entries.limits',
            'exclusions',
            'designs',
            'confirmedBy',
            'supersedes',
            'copiedFrom',
            'confirmations.user',
        ]);
        $confirmations = $list->confirmations->keyBy('line_code');
        $lines = array_values($list->lines->map(fn (Line $line): ListLineResource => $this->line($line, $confirmations->get($line->code)))->all());
        $codes = array_map(static fn (ListLineResource $line): string => $line->code, $lines);
        $absent = $list->confirmations
            ->filter(fn (LineConfirmation $found): bool => ! in_array($found->line_code, $codes, true))
            ->map(self::found(...))
            ->all();
        [$pieces, $unserved] = $this->plans->outfit(ListLoader::asked($list));
        [$price, $unpriced] = $this->prices->byThePiece($pieces);
        $editions = KitList::query()->where('code', $list->code)->orderBy('edition')->get();

        return new ListResource(
            $list->id,
            $list->code,
            $list->title,
            $list->size,
            $list->edition,
            $list->basis,
            $list->origin,
            $list->kind,
            $list->confirmed_at !== null,
            $list->confirmed_at?->toDateString(),
            $list->confirmedBy?->name,
            $list->no_critical_because,
            $list->revision,
            array_values($list->exclusions->pluck('class')->all()),
            array_values($list->designs->pluck('name')->all()),
            $this->kitsByList()[$list->id] ?? [],
            $this->serves()[$list->id] ?? [],
            array_values($editions->map(self::edition(...))->all()),
            $list->supersedes === null ? null : self::edition($list->supersedes),
            $list->copiedFrom === null ? null : "{$list->copiedFrom->title}, edition {$list->copiedFrom->edition}",
            array_values($absent),
            $lines,
            $lines === [] ? null : $price,
            $unpriced + $unserved,
            $this->organisation->currency,
            $list->made_for_people,
            $list->made_for_days,
        );
    }

    public static function edition(KitList $list): EditionRef
    {
        return new EditionRef($list->id, $list->edition, $list->confirmed_at !== null);
    }

    public static function ref(KitList $list): ListRef
    {
        return new ListRef(
            $list->id,
            $list->code,
            $list->title,
            $list->size,
            $list->edition,
            $list->basis,
            $list->origin,
            $list->confirmed_at !== null,
        );
    }

    /** "12", or "2.5 yd in all" */
    public static function asked(Line $line): string
    {
        return $line->total_quantity === null ? (string) $line->quantity : "{$line->total_quantity} in all";
    }

    private function line(Line $line, ?LineConfirmation $found): ListLineResource
    {
        return new ListLineResource(
            $line->code,
            $line->need,
            $line->rank->value,
            self::asked($line),
            $line->quantity,
            $line->total_measure,
            $line->total_quantity,
            array_values($line->entries->map(fn (LineEntry $entry): EntryResource => $this->entry($entry))->all()),
            $line->reason,
            $line->anyone_may_use,
            $line->per,
            $found === null ? null : self::found($found),
        );
    }

    private function entry(LineEntry $entry): EntryResource
    {
        return new EntryResource(
            $entry->item?->code, $entry->class, $this->measures->resources($entry->minima()), $this->measures->resources($entry->maxima()),
            $entry->item?->caution, $this->measures->accepted($entry),
        );
    }

    private static function found(LineConfirmation $found): ConfirmationResource
    {
        return new ConfirmationResource(
            $found->outcome,
            $found->asked,
            $found->figure,
            $found->outcome === 'absent' ? trim("{$found->need}. {$found->note}") : $found->note,
            $found->user->name,
            substr($found->confirmed_at, 0, 10),
        );
    }

    /** @return array<string, list<string>> codes of kits and modules by list id */
    private function kitsByList(): array
    {
        $kits = [];
        $rows = DB::table('kits')
            ->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->whereNull('kits.retired_on')
            ->orderBy('kits.code')
            ->get(['design_editions.list_id', 'kits.code']);
        foreach ($rows as $row) {
            $kits[$row->list_id][] = $row->code;
        }

        return $kits;
    }

    /** @return array<string, list<string>> what of a plan keeps the list, by list id */
    private function serves(): array
    {
        $serves = [];
        foreach (DB::table('provision_choices')->get(['wanted', 'list_id']) as $choice) {
            $serves[$choice->list_id][] = $choice->wanted;
        }

        return $serves;
    }
}
