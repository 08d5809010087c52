<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Kits\Models\Kit;
use App\Kits\ReadKits;
use App\Kits\ReadPlaces;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;
use Sarcina\Core\Check\Verdict;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Kits and places, a page at a time. */
final class KitListController extends Controller
{
    #[OA\Get(path: '/kits', operationId: 'readKits', tags: ['kits'])]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/order')]
    #[OA\Parameter(ref: '#/components/parameters/q')]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Parameter(name: 'sort', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['walk', 'code', 'due', 'band']))]
    #[OA\Parameter(name: 'place', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'verdict',
        in: 'query',
        required: false,
        schema: new OA\Schema(type: 'string', enum: Verdict::class),
    )]
    #[OA\Parameter(
        name: 'work',
        in: 'query',
        required: false,
        schema: new OA\Schema(type: 'string', enum: ['check_due', 'check_later', 'check_none', 'restock']),
    )]
    #[OA\Response(response: 200, description: 'Kits in service', content: new OA\JsonContent(ref: KitsResource::class))]
    #[OA\Response(response: 422, description: 'Not a list that can be read')]
    public function kits(KitListRequest $request, ReadKits $kits): JsonResponse|StreamedResponse
    {
        if ($request->wantsSheet()) {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('kits', ReadKits::headings(), $kits->sheet($request, $this->today()));
        }

        return $this->json($kits($request, $this->today()));
    }

    #[OA\Get(path: '/places', operationId: 'readPlaces', tags: ['places'])]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/q')]
    #[OA\Parameter(name: 'id', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Places in walking order', content: new OA\JsonContent(ref: PlacesResource::class))]
    #[OA\Response(response: 422, description: 'Not a list that can be read')]
    public function places(PlaceListRequest $request, ReadPlaces $places): JsonResponse
    {
        return $this->json($places($request));
    }
}
