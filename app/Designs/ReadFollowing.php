<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Http\FollowingResource;
use App\Designs\Http\KitToFollowEdition;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Kits that are to follow a later edition of their design, in walking order; not those that differ on purpose. */
final class ReadFollowing
{
    private const SHOWN = 20;

    public function __invoke(string $today): FollowingResource
    {
        $latest = DB::table('design_editions')->whereNotNull('published_at')->groupBy('design_id')
            ->select('design_id', DB::raw('MAX(number) AS number'));
        $all = DB::table('kits')->join('design_editions as kept', 'kept.id', '=', 'kits.design_edition_id')
            ->joinSub($latest, 'latest', static fn (JoinClause $join) => $join->on('latest.design_id', '=', 'kept.design_id'))
            ->whereNull('kits.retired_on')->whereColumn('kept.number', '<', 'latest.number')
            ->whereNotExists(static fn (Builder $exception) => $exception->from('kit_exceptions')->whereColumn('kit_id', 'kits.id')
                ->whereNull('ended_on')->where('ends_on', '>=', $today));
        $ended = DB::table('kit_exceptions')->whereNull('ended_on')->where('ends_on', '<', $today)->groupBy('kit_id')
            ->select('kit_id', DB::raw('MAX(ends_on) AS ends_on'));
        $rows = (clone $all)->join('designs', 'designs.id', '=', 'kept.design_id')->join('places', 'places.id', '=', 'kits.place_id')
            ->leftJoinSub($ended, 'ended', 'ended.kit_id', '=', 'kits.id')
            ->leftJoin('kit_exceptions', static fn (JoinClause $join) => $join->on('kit_exceptions.kit_id', '=', 'kits.id')
                ->whereColumn('kit_exceptions.ends_on', 'ended.ends_on')->whereNull('kit_exceptions.ended_on'))
            ->orderBy('places.walk_order')->orderBy('kits.code')->limit(self::SHOWN)->get([
                'kits.code', 'kits.name', 'places.path', 'designs.name as design', 'kept.number', 'latest.number as latest',
                'kit_exceptions.name as exception', 'kit_exceptions.ends_on',
            ]);

        return new FollowingResource(
            array_values($rows->map(static fn (stdClass $row): KitToFollowEdition => new KitToFollowEdition(
                $row->code, $row->name, $row->path, $row->design, (int) $row->number, (int) $row->latest, $row->exception, $row->ends_on,
            ))->all()),
            $rows->count() < self::SHOWN ? $rows->count() : $all->count(),
        );
    }
}
