<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Kits\Models\Kit;
use App\Stock\Models\Store;
use App\Stock\ReadStores;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
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
        schema: new OA\Schema(type: 'string', enum: ['good', 'opened', 'damaged', 'soiled', 'failed']),
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
}
