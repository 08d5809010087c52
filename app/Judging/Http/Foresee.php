<?php

declare(strict_types=1);

namespace App\Judging\Http;

use App\Accounts\Models\Organisation;
use App\Judging\JudgingVersion;
use App\Judging\KitJudge;
use App\Judging\ShiftVerdict;
use App\Kits\Models\Kit;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\Verdict;
use Symfony\Component\HttpFoundation\Response;

/**
 * Seen beforehand: a request with the header `Foresee: yes` is done whole within a transaction, the kits that it concerns are judged as they
 * would be, and all of it is undone. The answer says which verdicts would change; what is not accepted is refused as ever.
 */
final class Foresee
{
    public const HEADER = 'Foresee';

    /** Kits that are judged: more would keep others waiting, and the answer says of how many it speaks. */
    private const AT_MOST = 200;

    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->hasHeader(self::HEADER)) {
            return $next($request);
        }
        DB::beginTransaction();
        try {
            $version = (int) DB::table('judging_version')->value('version');
            $before = DB::table('kit_states')->pluck('verdict', 'kit_id')->all();
            $response = $next($request);
            if ($response->getStatusCode() >= 400) {
                return $response;
            }
            app()->forgetScopedInstances();

            return new JsonResponse($this->foreseen($version, $before), headers: ['Foreseen' => 'yes']);
        } finally {
            DB::rollBack();
            // What was remembered of it was undone too.
            app()->forgetScopedInstances();
        }
    }

    /** @param  array<string, string>  $before  verdicts by kit */
    private function foreseen(int $version, array $before): ForeseenResource
    {
        $today = app(Organisation::class)->today();
        $judge = app(KitJudge::class);
        $now = app(JudgingVersion::class)->now();
        $concerned = DB::table('kit_states')->where('needs_version', '>', $version)->orWhere('judged_version', '>', $version);
        $first = (clone $concerned)->orderBy('walk_order')->orderBy('code')->limit(self::AT_MOST);
        $ids = array_values(array_map(strval(...), $first->pluck('kit_id')->all()));
        $shifts = ShiftVerdict::kept($ids);
        $changes = [];
        $places = array_flip($ids);
        $kits = Kit::query()->whereIn('id', $ids)->with(['place', 'modules'])->get();
        foreach ($kits->sortBy(fn (Kit $kit): int => $places[$kit->id]) as $kit) {
            $judged = $judge->judge($kit, $today, version: $now);
            $then = $judged->verdict();
            $was = Verdict::from($before[$kit->id] ?? $then->value);
            foreach ([[null, $was, $then], ...self::byShift($shifts[$kit->id] ?? [], $judged->shifts())] as [$shift, $old, $new]) {
                // Where the kit as a whole changes, its shifts need not be told apart.
                if ($new !== $old && ($shift === null || $then === $was)) {
                    $changes[] = new ForeseenChange(
                        $kit->code, $kit->name, $kit->place->path, $shift, $old->value, $new->value, $new->isWorseThan($old),
                    );
                }
            }
        }
        usort($changes, static fn (ForeseenChange $one, ForeseenChange $other): int => $other->worse <=> $one->worse);

        return new ForeseenResource($concerned->count(), count($ids), $changes);
    }

    /**
     * @param  list<ShiftVerdict>  $kept
     * @param  list<ShiftVerdict>  $then
     * @return list<array{string, Verdict, Verdict}> shifts that there were and will be
     */
    private static function byShift(array $kept, array $then): array
    {
        $old = array_column($kept, 'verdict', 'shift');
        $both = array_filter($then, static fn (ShiftVerdict $one): bool => isset($old[$one->shift]));

        return array_values(array_map(static fn (ShiftVerdict $one): array => [$one->shift, $old[$one->shift], $one->verdict], $both));
    }
}
