<?php

declare(strict_types=1);

namespace App\Reading;

use App\Http\Resources\ListLineResource;
use App\Http\Resources\ListResource;
use App\Models\Design;
use App\Models\KitList;
use App\Models\Line;
use App\Models\LineEntry;
use App\Models\LineEntryMinimum;
use App\Models\ListExclusion;

/** The lists that kits are held to, with their lines and what they rest on. */
final class ReadLists
{
    /** @return list<ListResource> */
    public function __invoke(): array
    {
        $lists = KitList::query()->with(['lines.entries.item', 'lines.entries.minima', 'exclusions', 'designs', 'confirmedBy'])->orderBy('origin')->orderBy('code')->get();

        return array_values($lists->map(fn (KitList $list): ListResource => new ListResource(
            $list->code, $list->title, $list->size, $list->edition, $list->basis, $list->origin, $list->confirmed_at !== null,
            $list->confirmed_at?->toDateString(), $list->confirmedBy?->name,
            array_values($list->exclusions->map(fn (ListExclusion $exclusion): string => $exclusion->class)->all()),
            array_values($list->designs->map(fn (Design $design): string => $design->name)->all()),
            array_values($list->lines->map(fn (Line $line): ListLineResource => self::line($line))->all()),
        ))->all());
    }

    private static function line(Line $line): ListLineResource
    {
        return new ListLineResource(
            $line->code, $line->need, $line->rank, $line->total_quantity === null ? (string) $line->quantity : "{$line->total_quantity} in all",
            array_values($line->entries->map(fn (LineEntry $entry): string => $entry->item->name ?? "any {$entry->class}".self::least($entry))->all()), $line->reason,
        );
    }

    private static function least(LineEntry $entry): string
    {
        return $entry->minima->isEmpty() ? '' : ' of at least '.$entry->minima->map(fn (LineEntryMinimum $minimum): string => "{$minimum->measure} {$minimum->quantity}")->implode(', ');
    }
}
