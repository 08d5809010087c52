<?php

declare(strict_types=1);

namespace App\Reports\Http;

use App\Reports\KeepReports;
use App\Reports\ReadReports;
use App\Reports\ReportCodes;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/**
 * Says what was used, by the second code on a kit's label and without an account. It answers alike for any token: who guesses learns
 * nothing, and who has an old label is not told whose it was.
 */
final class OpenReportController extends Controller
{
    #[OA\Get(path: '/reports/{token}', operationId: 'readReportable', tags: ['reports'])]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'The names of what is in the kit; none where no kit has this code',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ReportableItem::class)),
    )]
    #[OA\Response(response: 429, description: 'Too often from this address')]
    public function show(string $token, ReportCodes $codes, ReadReports $reports): JsonResponse
    {
        $names = $reports->names($codes->find($token)->kit_id ?? '');

        return $this->json(array_map(
            static fn (string $code, string $name): ReportableItem => new ReportableItem($code, $name),
            array_map(strval(...), array_keys($names)), array_values($names),
        ));
    }

    #[OA\Put(path: '/reports/{token}/{id}', operationId: 'reportUse', tags: ['reports'],
        description: 'The id is a ULID made by the page: sent twice, it counts once. Answers alike for any token.')]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewReport::class))]
    #[OA\Response(response: 204, description: 'Where a kit has this code, who answers for it sees the report')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    #[OA\Response(response: 429, description: 'Too often from this address')]
    public function store(NewReport $request, string $token, string $id, ReportCodes $codes, KeepReports $keep): JsonResponse
    {
        [$id, $code] = [NewReport::id($id), $codes->find($token)];
        if ($code !== null) {
            $keep->take($code->kit_id, $id, $request->pieces(), $code->id, null, now());
        }

        return new JsonResponse(null, 204);
    }
}
