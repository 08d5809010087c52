<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Catalogue\Catalogue;
use App\Checks\ReadUnsettled;
use App\Judging\KitJudge;
use App\Kits\Http\BaseResource;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Ledger\Head;
use App\Ledger\PieceCondition;
use App\Stock\Lacking;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Stock\PlannedIn;
use App\Stock\PlannedOut;
use App\Stock\PlanRestock;
use App\Stock\RestockKit;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Sarcina\Core\Calendar\PrintedDate;

final class RestockController extends Controller
{
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
    public function plan(Request $request, Kit $kit, KitJudge $judge, PlanRestock $restock, NearestStore $nearest, Catalogue $catalogue): JsonResponse
    {
        /** @var array{store?: string} $query */
        $query = $request->validate(['store' => ['ulid', 'exists:stores,id']]);
        $stores = Store::query()->orderBy('id')->get();
        $store = isset($query['store'])
            ? $stores->firstOrFail(static fn (Store $one): bool => $one->id === strtolower($query['store']))
            : $nearest->among($kit, $stores) ?? abort(422, 'There is no store yet: add one before anything is restocked from it.');
        $base = BaseResource::of(Head::read()->base());
        $judged = $judge->judge($kit, $this->today());
        $plan = $restock($judged, $store);
        $goodUntil = static fn (?string $expires): ?string => $expires === null ? null : (string) PrintedDate::of($expires)->lastGoodDay;

        return $this->json(new RestockResource(
            $store->id, $store->name,
            array_map(static fn (Store $one): StoreRef => new StoreRef($one->id, $one->name), array_values($stores->sortBy('name')->all())),
            $base, (string) $judged->judgement->assignment->policy->goodUntil(),
            array_map(static fn (PlannedOut $row): TakeResource => new TakeResource(
                $row->pocketId, $row->item, $catalogue->name($row->item), $catalogue->item($row->item)?->caution,
                $row->lotId, $row->lot, $row->expires, $goodUntil($row->expires),
                PieceCondition::of($row->condition)->condition->value, PieceCondition::of($row->condition)->openedOn, $row->quantity, $row->because->value, $row->toStore ? 'store' : 'discard',
            ), $plan->out),
            array_map(static fn (PlannedIn $row): PutResource => new PutResource(
                $row->line, $row->need, $row->pocketId, $row->item, $catalogue->name($row->item),
                $catalogue->item($row->item)?->caution, $row->lotId, $row->lot,
                $row->expires, $goodUntil($row->expires), $row->quantity, $row->shortDated, $row->standsIn,
            ), $plan->in),
            array_map(
                static fn (Lacking $row): MissingResource => new MissingResource($row->line, $row->item, $row->what, $row->quantity),
                $plan->missing,
            ),
        ));
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
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: RestockedResource::class))]
    #[
        OA\Response(
            response: 202,
            description: 'Kept, but nothing of it could be recorded: somebody must settle it',
            content: new OA\JsonContent(ref: RestockedResource::class),
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
            new RestockedResource($recorded->operation, $unsettled->rows($recorded->unsettled), $describe($kit->refresh(), $this->today())),
            $recorded->operation === null ? 202 : 200,
        );
    }
}
