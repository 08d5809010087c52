<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Support\Http\Controller;
use App\Today\Find;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class FindController extends Controller
{
    #[OA\Get(path: '/find', operationId: 'find', tags: ['find'])]
    #[OA\Parameter(name: 'q', in: 'query', required: true, schema: new OA\Schema(type: 'string', maxLength: 120))]
    #[OA\Response(response: 200, description: 'Kits, items, places and lots', content: new OA\JsonContent(ref: FindResource::class))]
    public function __invoke(Request $request, Find $find): JsonResponse
    {
        /** @var array{q: string|null} $query */
        $query = $request->validate(['q' => ['present', 'nullable', 'string', 'max:120']]);

        return $this->json($find((string) $query['q']));
    }
}
