<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Catalogue\Models\Item;
use App\Kits\Models\Kit;
use App\Stock\KeepStores;
use App\Stock\Models\Store;
use App\Stock\ReadDatesAhead;
use App\Stock\ReadLevels;
use App\Stock\ReadProposedLevels;
use App\Stock\ReadStoreHistory;
use App\Stock\ReadStores;
use App\Stock\ReadToBuy;
use App\Stock\WorkAtStore;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The stores and what lies in them. */
final class StoreController extends Controller
{
    #[OA\Get(path: '/stores', operationId: 'readStores', tags: ['stores'])]
    #[OA\Response(
        response: 200,
        description: 'All stores',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoreResource::class)),
    )]
    public function all(ReadStores $stores): JsonResponse
    {
        return $this->json($stores->all());
    }

    #[OA\Get(path: '/stores/{store}', operationId: 'readStore', tags: ['stores'])]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/order')]
    #[OA\Parameter(ref: '#/components/parameters/q')]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Parameter(name: 'sort', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['item', 'lot', 'expires', 'quantity']))]
    #[OA\Parameter(
        name: 'condition',
        in: 'query',
        required: false,
        schema: new OA\Schema(type: 'string', enum: StoreListRequest::CONDITIONS),
    )]
    #[OA\Parameter(name: 'until', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What lies in the store', content: new OA\JsonContent(ref: StoreContentsResource::class))]
    #[OA\Response(response: 422, description: 'Not a list that can be read')]
    public function contents(StoreListRequest $request, Store $store, ReadStores $stores): JsonResponse|StreamedResponse
    {
        if ($request->wantsSheet()) {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('store', ReadStores::headings(), $stores->sheet($store, $request));
        }

        return $this->json($stores->contents($store, $request));
    }

    #[
        OA\Put(
            path: '/stores/{store}/entries/{id}',
            operationId: 'workAtStore',
            tags: ['stores'],
            description: 'Records what was received, counted, disposed of or moved. The id is a ULID made by the page: sent twice, it counts once.',
        ),
    ]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: DoneAtStore::class))]
    #[OA\Response(response: 200, description: 'Recorded', content: new OA\JsonContent(ref: StoreWorkDone::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function work(DoneAtStore $request, Store $store, string $id, WorkAtStore $work, ReadStores $stores): JsonResponse
    {
        return $this->json(new StoreWorkDone($work($request->report($store, $id), $this->user($request)), $stores->one($store)));
    }

    #[OA\Put(path: '/stores/{id}', operationId: 'keepStore', tags: ['stores'], description: 'Adds a store, or renames or moves one.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: KeptStore::class))]
    #[OA\Response(response: 200, description: 'The store', content: new OA\JsonContent(ref: StoreResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function keep(KeptStore $request, string $id, KeepStores $keep, ReadStores $stores): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);

        $store = $keep->keep(Str::lower($id), $request->string('name')->trim()->value(), Str::lower($request->string('place_id')->value()));

        return $this->json($stores->one($store));
    }

    #[OA\Put(path: '/stores/{store}/retirement', operationId: 'retireStore', tags: ['stores'], description: 'Ends the use of an empty store.')]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'The stores in use',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoreResource::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function retire(Store $store, KeepStores $keep, ReadStores $stores): JsonResponse
    {
        $keep->retire($store, $this->today());

        return $this->json($stores->all());
    }

    #[OA\Get(path: '/to-buy', operationId: 'readToBuy', tags: ['stores'])]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Response(response: 200, description: 'What kits are missing and no store has', content: new OA\JsonContent(ref: ToBuy::class))]
    public function toBuy(Request $request, ReadToBuy $toBuy): JsonResponse|StreamedResponse
    {
        $query = $request->validate(['format' => [Rule::in(['json', 'csv'])]]);
        if (($query['format'] ?? 'json') === 'csv') {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('to-buy', ReadToBuy::headings(), $toBuy->sheet($this->today()));
        }

        return $this->json($toBuy($this->today()));
    }

    #[OA\Get(path: '/dates-ahead', operationId: 'readDatesAhead', tags: ['stores'])]
    #[OA\Parameter(name: 'month', in: 'query', required: false, description: 'as YYYY-MM', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Response(response: 200, description: 'What expires in the months ahead', content: new OA\JsonContent(ref: DatesAhead::class))]
    public function datesAhead(Request $request, ReadDatesAhead $read): JsonResponse|StreamedResponse
    {
        $query = $request->validate([
            'month' => ['nullable', 'date_format:Y-m'], 'page' => ['integer', 'between:1,100000'], 'format' => [Rule::in(['json', 'csv'])],
        ], ['*.*' => 'This list cannot be read so. Open it anew.']);
        if (($query['format'] ?? 'json') === 'csv') {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('dates-ahead', ReadDatesAhead::headings(), $read->sheet($this->today()));
        }

        return $this->json($read($this->today(), $query['month'] ?? null, (int) ($query['page'] ?? 1)));
    }

    #[OA\Get(path: '/stores/{store}/levels', operationId: 'readStoreLevels', tags: ['stores'])]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'What is below its least first',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoreLevel::class)),
    )]
    public function levels(Store $store, ReadLevels $levels): JsonResponse
    {
        return $this->json($levels->of($store, $this->today()));
    }

    #[OA\Get(path: '/stores/{store}/proposed-levels', operationId: 'readProposedLevels', tags: ['stores'])]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'Levels by what went from the store into kits, where they differ from what is set',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ProposedLevel::class)),
    )]
    public function proposedLevels(Store $store, ReadProposedLevels $proposed): JsonResponse
    {
        return $this->json($proposed($store, $this->today()));
    }

    #[OA\Put(path: '/stores/{store}/levels/{item}', operationId: 'setStoreLevel', tags: ['stores'], description: 'Sets a level, or removes it.')]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'item', in: 'path', required: true, description: 'its code', schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SetLevel::class))]
    #[OA\Response(
        response: 200,
        description: 'The levels of the store',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoreLevel::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function setLevel(SetLevel $request, Store $store, Item $item, KeepStores $keep, ReadLevels $levels): JsonResponse
    {
        $least = $request->validated('least');
        $target = $request->validated('target');
        $keep->level($store, $item, is_int($least) ? $least : null, is_int($target) ? $target : null);

        return $this->json($levels->of($store, $this->today()));
    }

    #[OA\Get(path: '/stores/{store}/history', operationId: 'readStoreHistory', tags: ['stores'])]
    #[OA\Parameter(name: 'store', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What was done there, newest first', content: new OA\JsonContent(ref: StoreHistory::class))]
    public function history(Store $store, ReadStoreHistory $history): JsonResponse
    {
        return $this->json($history($store));
    }
}
