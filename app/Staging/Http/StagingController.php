<?php

declare(strict_types=1);

namespace App\Staging\Http;

use App\Kits\Http\KitResource;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Staging\KeepStaging;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** That an item is staged which was put in without it. */
final class StagingController extends Controller
{
    #[OA\Put(path: '/kits/{kit}/staging/{id}', operationId: 'stageItem', tags: ['kits'],
        description: 'The id is a ULID made by the page: sent twice, it counts once.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['item'], properties: [
        new OA\Property(property: 'item', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function done(Request $request, Kit $kit, string $id, KeepStaging $keep, ReadKit $describe): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $request->validate(['item' => ['required', 'string', 'exists:items,code']], ['item.*' => 'Say which item is staged now.']);
        $keep->done($kit, Str::lower($id), $request->string('item')->value(), $this->user($request), now());

        return $this->json($describe($kit->refresh(), $this->today()));
    }
}
