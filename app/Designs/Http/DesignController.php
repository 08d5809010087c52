<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Models\Design;
use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Http\PlaceResource;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Kits\ReadPlaces;
use App\Stock\Http\StoreResource;
use App\Stock\Http\StoreRow;
use App\Stock\Models\Holding;
use App\Stock\Models\Store;
use App\Support\Http\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What is read but not worked on here: places, designs and stores. */
final class DesignController extends Controller
{
    #[OA\Get(path: '/places', operationId: 'readPlaces', tags: ['places'])]
    #[
        OA\Response(
            response: 200,
            description: 'All places in walking order with their kits',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: PlaceResource::class)),
        ),
    ]
    public function places(ReadPlaces $places): JsonResponse
    {
        return $this->json($places($this->today()));
    }

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

    #[OA\Get(path: '/stores', operationId: 'readStores', tags: ['stores'])]
    #[
        OA\Response(
            response: 200,
            description: 'All stores and what lies in them',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoreResource::class)),
        ),
    ]
    public function stores(): JsonResponse
    {
        $held = Holding::query()->whereNotNull('store_id')->with('lot.item')->get()->groupBy('store_id');

        return $this->json(
            array_values(
                Store::query()
                    ->with('place')
                    ->get()
                    ->map(
                        fn (Store $store): StoreResource => new StoreResource(
                            $store->id,
                            $store->name,
                            $store->place->path,
                            array_values(
                                ($held->get($store->id) ?? collect())
                                    ->sortBy(fn (Holding $holding): string => $holding->lot->item->name.($holding->lot->good_until ?? '9'))
                                    ->map(
                                        fn (Holding $holding): StoreRow => new StoreRow(
                                            $holding->lot->item->code,
                                            $holding->lot->item->name,
                                            $holding->lot->number,
                                            $holding->lot->expires,
                                            $holding->lot->good_until,
                                            $holding->condition->value,
                                            $holding->quantity,
                                        ),
                                    )
                                    ->all(),
                            ),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
