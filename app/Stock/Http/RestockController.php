<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Checks\Http\RecordedOfKit;
use App\Checks\ReadUnsettled;
use App\Judging\KitJudge;
use App\Kits\Http\BaseResource;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Ledger\Head;
use App\Stock\DescribeRestock;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Stock\PlanRestock;
use App\Stock\ReadPickList;
use App\Stock\RestockKit;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class RestockController extends Controller
{
    private const NO_STORE = 'There is no store yet: add one before anything is restocked from it.';

    #[OA\Get(path: '/kits/{kit}/restock', operationId: 'planRestock', tags: ['restock'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'store', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Response(
            response: 200,
            description: 'What goes out, what goes in and from which lots',
            content: new OA\JsonContent(ref: RestockResource::class),
        ),
    ]
    public function plan(
        Request $request,
        Kit $kit,
        KitJudge $judge,
        PlanRestock $restock,
        NearestStore $nearest,
        DescribeRestock $describe,
    ): JsonResponse {
        /** @var array{store?: string} $query */
        $query = $request->validate(['store' => ['ulid', 'exists:stores,id']]);
        $stores = Store::query()->where('retired_on', null)->orderBy('id')->get();
        $store = isset($query['store'])
            ? $stores->firstOrFail(static fn (Store $one): bool => $one->id === strtolower($query['store']))
            : $nearest->among($kit, $stores) ?? abort(422, self::NO_STORE);
        $base = BaseResource::of(Head::read()->base());
        $judged = $judge->judge($kit, $this->today());
        $plan = $restock($judged, $store);

        return $this->json($describe($judged, $plan, $store, $stores, $base, $this->user($request)));
    }

    #[OA\Get(path: '/pick-list', operationId: 'readPickList', tags: ['restock'])]
    #[OA\Parameter(name: 'kits', in: 'query', required: true, description: 'codes, with commas between', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'store', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'One list for several kits', content: new OA\JsonContent(ref: PickList::class))]
    public function pickList(PickListRequest $request, ReadPickList $read, NearestStore $nearest): JsonResponse
    {
        $kits = $request->kits();
        $store = $request->store() ?? $nearest($kits[0]) ?? abort(422, self::NO_STORE);

        return $this->json($read($kits, $store, $this->today()));
    }

    #[
        OA\Put(
            path: '/kits/{kit}/restocks/{id}',
            operationId: 'restockKit',
            tags: ['restock'],
            description: 'Records a restock. The id is a ULID made by the page: sent twice, it counts once.',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: DoneRestock::class))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: RecordedOfKit::class))]
    #[
        OA\Response(
            response: 202,
            description: 'Kept, but nothing of it could be recorded: somebody must settle it',
            content: new OA\JsonContent(ref: RecordedOfKit::class),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function restock(
        DoneRestock $request,
        Kit $kit,
        string $id,
        RestockKit $restock,
        ReadKit $describe,
        ReadUnsettled $unsettled,
    ): JsonResponse {
        $recorded = $restock($request->report($kit, $id), $this->user($request));

        return $this->json(
            new RecordedOfKit($recorded->operation, $unsettled->rows($recorded->unsettled), $describe($kit->refresh(), $this->today())),
            $recorded->operation === null ? 202 : 200,
        );
    }
}
