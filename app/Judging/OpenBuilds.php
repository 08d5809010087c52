<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;

/** Of which kits somebody is packing everything anew. Asked only for kits that say so themselves, so that many are judged at once. */
final readonly class OpenBuilds
{
    public function __construct(private Organisation $organisation)
    {
    }

    /** @param  list<Kit>  $parts  the kit that is judged, and the modules in it */
    public function of(Kit $kit, array $parts): ?BeingBuilt
    {
        $builds = [];
        foreach ($parts as $one) {
            if ($one->build_id !== null) {
                $builds[$one->build_id] ??= $one;
            }
        }
        if ($builds === []) {
            return null;
        }
        $open = DB::table('builds')->join('users', 'users.id', '=', DB::raw('COALESCE(builds.taken_by_id, builds.begun_by_id)'))
            ->whereIn('builds.id', array_keys($builds))->orderBy('begun_at')->first(['builds.id', 'begun_at', 'users.name']);
        if ($open === null) {
            return null;
        }
        $of = $builds[$open->id];

        return new BeingBuilt(
            $open->name, Day::of($this->organisation->dayOf(CarbonImmutable::parse($open->begun_at, 'UTC'))), $of->id === $kit->id ? null : $of->code,
        );
    }
}
