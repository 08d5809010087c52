<?php

declare(strict_types=1);

namespace App\Rounds\Http;

use App\Kits\Models\Kit;
use App\Rounds\KeepRounds;
use App\Rounds\Models\Round;
use App\Rounds\ReadRounds;
use App\Stock\Http\PickListRequest;
use App\Stock\NearestStore;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Rounds on which several kits are restocked. */
final class RoundController extends Controller
{
    #[OA\Get(path: '/rounds', operationId: 'readRounds', tags: ['restock'])]
    #[OA\Response(
        response: 200,
        description: 'Those that are not ended',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: RoundRef::class)),
    )]
    public function all(ReadRounds $rounds): JsonResponse
    {
        return $this->json($rounds->open());
    }

    #[OA\Get(path: '/rounds/{round}', operationId: 'readRound', tags: ['restock'])]
    #[OA\Parameter(name: 'round', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The round', content: new OA\JsonContent(ref: RoundResource::class))]
    public function show(Round $round, ReadRounds $rounds): JsonResponse
    {
        return $this->json($rounds->one($round));
    }

    #[OA\Put(path: '/rounds/{id}', operationId: 'beginRound', tags: ['restock'],
        description: 'Picks for the kits from the store. The id is a ULID made by the page: sent twice, one round is kept.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'kits', in: 'query', required: true, description: 'codes, with commas between', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'store', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The round', content: new OA\JsonContent(ref: RoundResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function begin(PickListRequest $request, string $id, KeepRounds $keep, NearestStore $nearest, ReadRounds $rounds): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $kits = $request->kits();
        $store = $request->store() ?? $nearest($kits[0]) ?? abort(422, 'There is no store yet: add one before anything is restocked from it.');
        $keep->begin(Str::lower($id), $kits, $store, $this->user($request), now(), $this->today());

        return $this->json($rounds->one(Round::query()->findOrFail(Str::lower($id))));
    }

    #[OA\Put(path: '/rounds/{round}/kits/{kit}/skipping', operationId: 'skipRoundKit', tags: ['restock'])]
    #[OA\Parameter(name: 'round', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['reason'], properties: [
        new OA\Property(property: 'reason', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'The round', content: new OA\JsonContent(ref: RoundResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function skip(Request $request, Round $round, Kit $kit, KeepRounds $keep, ReadRounds $rounds): JsonResponse
    {
        $request->validate(['reason' => ['required', 'string', 'max:200']], ['reason.*' => 'Say why it is passed by, in at most 200 characters.']);
        $keep->skip($round, $kit, $request->string('reason')->trim()->value(), $this->user($request), now());

        return $this->json($rounds->one($round->refresh()));
    }

    #[OA\Put(path: '/rounds/{round}/end', operationId: 'endRound', tags: ['restock'])]
    #[OA\Parameter(name: 'round', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The round', content: new OA\JsonContent(ref: RoundResource::class))]
    public function end(Round $round, KeepRounds $keep, ReadRounds $rounds): JsonResponse
    {
        $keep->end($round, now());

        return $this->json($rounds->one($round->refresh()));
    }
}
