<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** The least that a request can do here, to measure others against: session, sign-in, one row by its key. */
final class FloorController extends Controller
{
    #[OA\Get(path: '/floor', operationId: 'readFloor', tags: ['floor'])]
    #[
        OA\Response(
            response: 200,
            description: 'The number of the record\'s last operation',
            content: new OA\JsonContent(required: ['operations'], properties: [new OA\Property(property: 'operations', type: 'integer')]),
        ),
    ]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['operations' => (int) DB::table('ledger_head')->where('id', 1)->value('number')]);
    }
}
