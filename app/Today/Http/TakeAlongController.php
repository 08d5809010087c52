<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Support\Http\Controller;
use App\Today\TakeAlong;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class TakeAlongController extends Controller
{
    #[OA\Get(
        path: '/take-along', operationId: 'readTakeAlong', tags: ['today'],
        description: 'The addresses that a device copies so that its user can work without a network.',
    )]
    #[OA\Response(response: 200, description: 'Addresses of this API', content: new OA\JsonContent(ref: TakeAlongResource::class))]
    public function __invoke(Request $request, TakeAlong $along): JsonResponse
    {
        return $this->json(new TakeAlongResource($along->of($this->user($request))));
    }
}
