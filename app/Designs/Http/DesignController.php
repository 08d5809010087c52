<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Models\Design;
use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Support\Http\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The designs that kits are made of. */
final class DesignController extends Controller
{
    #[OA\Get(path: '/designs', operationId: 'readDesigns', tags: ['designs'])]
    #[
        OA\Response(
            response: 200,
            description: 'All designs',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: DesignResource::class)),
        ),
    ]
    public function designs(KitPlans $plans, JudgingVersion $version): JsonResponse
    {
        // Plans that are kept are read at once.
        $version->now();
        $kits = Kit::query()->where('retired_on', null)->with('edition:id,design_id,number')->orderBy('code')->get(['code', 'design_edition_id']);
        $byDesign = $kits->groupBy(static fn (Kit $kit): string => $kit->edition->design_id);
        $resources = [];
        $designs = Design::query()->with('latest.list')->orderBy('name')->get();
        $plans->readAhead(array_values(array_filter($designs->map(static fn (Design $design): ?string => $design->latest?->id)->all())));
        foreach ($designs as $design) {
            $latest = $design->latest;
            if ($latest === null) {
                continue;
            }
            $plan = $plans->of($latest->id);
            $own = $byDesign->get($design->id) ?? new Collection;
            $resources[] = new DesignResource(
                $design->id,
                $design->code,
                $design->name,
                DesignEditionRef::of($latest),
                ReadKit::list($plan),
                $plan->policy->sealed,
                array_values($own->pluck('code')->all()),
                array_values($own->filter(static fn (Kit $kit): bool => $kit->edition->number < $latest->number)->pluck('code')->all()),
                ReadKit::leaves($plan),
                count($plan->lines),
            );
        }

        return $this->json($resources);
    }
}
