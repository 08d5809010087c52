<?php

declare(strict_types=1);

namespace App\Lists;

use App\Designs\Models\Design;
use App\Lists\Http\ListChoice;
use App\Lists\Http\ListsResource;
use App\Lists\Http\ListSummary;
use App\Lists\Models\KitList;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The lists and their editions, a page at a time; and all of them by name, to choose from. */
final class ReadListTable
{
    private const LIST_OF_KITS = ['origin' => 'house', 'kind' => 'kit'];

    public function __invoke(ListRequest $asked): ListsResource
    {
        [$rows, $page] = PageOf::read($this->asked($asked), $asked->page(), ['lists.id']);

        return new ListsResource($this->rows(array_column($rows, 'id')), $page);
    }

    /** @return iterable<list<string|int|null>> all that are asked for, for a sheet */
    public function sheet(ListRequest $asked): iterable
    {
        foreach (array_chunk($this->asked($asked)->pluck('lists.id')->all(), PageOf::ROWS) as $some) {
            foreach ($this->rows($some) as $list) {
                yield [
                    $list->code, $list->title, $list->size, $list->edition, $list->origin, $list->kind, $list->basis,
                    $list->confirmed ? 'yes' : 'no', $list->confirmed_on, $list->confirmed_by, $list->lines, $list->kits,
                ];
            }
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['code', 'title', 'size', 'edition', 'origin', 'kind', 'basis', 'confirmed', 'confirmed_on', 'confirmed_by', 'lines', 'kits'];
    }

    /** @return list<ListChoice> */
    public function choices(): array
    {
        $superseded = DB::table('lists')->whereNotNull('supersedes_id')->pluck('supersedes_id')->all();

        return array_values(DB::table('lists')->orderBy('title')->orderBy('size')->orderBy('edition')
            ->get(['id', 'code', 'title', 'size', 'edition', 'kind', 'confirmed_at'])
            ->map(static fn (stdClass $list): ListChoice => new ListChoice(
                $list->id, $list->code, $list->title, $list->size, $list->edition, $list->kind, $list->confirmed_at !== null,
                ! in_array($list->id, $superseded, true),
            ))->all());
    }

    private function asked(ListRequest $asked): Builder
    {
        $lists = DB::table('lists');
        // Lists are hundreds at the most: looked through, words are found wherever they stand.
        foreach (preg_split('/\s+/u', $asked->text(), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $lists->where(static fn (Builder $any) => $any->where('title', 'like', $like)->orWhere('code', 'like', $like)
                ->orWhere('size', 'like', $like)->orWhere('basis', 'like', $like));
        }
        match ($asked->filter('group')) {
            'starter' => $lists->where('origin', 'starter'),
            'house' => $lists->where(self::LIST_OF_KITS),
            'module' => $lists->where('kind', 'module'),
            default => $lists,
        };
        if ($asked->filter('confirmed') !== null) {
            $lists->whereNull('confirmed_at', not: $asked->filter('confirmed') === 'yes');
        }
        if ($asked->filter('edition') === 'latest') {
            $lists->whereNotExists(static fn (Builder $later) => $later->from('lists', 'later')->whereColumn('later.supersedes_id', 'lists.id'));
        }
        match ($asked->sort()) {
            'code' => $lists->orderBy('code', $asked->direction()),
            'confirmed' => $lists->orderByRaw('confirmed_at IS NULL')->orderBy('confirmed_at', $asked->direction()),
            default => $lists->orderBy('kind')->orderByRaw("origin = 'starter' DESC")->orderBy('title', $asked->direction()),
        };

        return $lists->orderBy('title')->orderBy('size')->orderBy('edition');
    }

    /**
     * @param  array<mixed>  $ids
     * @return list<ListSummary> in that order
     */
    private function rows(array $ids): array
    {
        $lists = KitList::query()->withCount(['lines', 'confirmations'])->with(['designs', 'confirmedBy'])->whereIn('id', $ids)->get();
        $superseded = DB::table('lists')->whereIn('supersedes_id', $ids)->pluck('supersedes_id')->all();
        $kits = DB::table('kits')->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->whereIn('design_editions.list_id', $ids)->whereNull('kits.retired_on')
            ->groupBy('design_editions.list_id')->selectRaw('design_editions.list_id, COUNT(*) AS kits')->pluck('kits', 'list_id')->all();
        $serves = DB::table('provision_choices')->whereIn('list_id', $ids)->get(['wanted', 'list_id'])->groupBy('list_id');
        $rows = [];
        foreach ($lists as $list) {
            $rows[$list->id] = new ListSummary(
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
                (int) $list->getAttribute('lines_count'),
                (int) $list->getAttribute('confirmations_count'),
                array_values($list->designs->map(static fn (Design $design): string => $design->name)->all()),
                (int) ($kits[$list->id] ?? 0),
                ! in_array($list->id, $superseded, true),
                array_values(array_map(strval(...), ($serves->get($list->id) ?? collect())->pluck('wanted')->all())),
            );
        }

        return array_values(array_filter(array_map(static fn (mixed $id): ?ListSummary => $rows[(string) $id] ?? null, $ids)));
    }
}
