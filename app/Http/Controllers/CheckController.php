<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FinishCheck;
use App\Http\Requests\FinishedCheck;
use App\Http\Resources\CheckFindingResource;
use App\Http\Resources\CheckLineResource;
use App\Http\Resources\CheckResource;
use App\Http\Resources\CheckRowResource;
use App\Models\Check;
use App\Models\CheckFinding;
use App\Models\CheckLine;
use App\Models\CheckRow;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class CheckController extends Controller
{
    #[OA\Put(path: '/checks/{id}', operationId: 'finishCheck', tags: ['checks'], description: 'Records a finished check. The id is a ULID made by the page: sent twice, the check counts once.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: FinishedCheck::class))]
    #[OA\Response(response: 200, description: 'The check as recorded', content: new OA\JsonContent(ref: CheckResource::class))]
    #[OA\Response(response: 409, description: 'The contents changed in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function finish(FinishedCheck $request, string $id, FinishCheck $finish): JsonResponse
    {
        return $this->json(self::resource($finish($request->report($id), $this->user($request), now(), $this->today())));
    }

    #[OA\Get(path: '/checks/{check}', operationId: 'readCheck', tags: ['checks'])]
    #[OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The check as it was signed', content: new OA\JsonContent(ref: CheckResource::class))]
    public function show(Check $check): JsonResponse
    {
        return $this->json(self::resource($check));
    }

    private static function resource(Check $check): CheckResource
    {
        $check->load(['kit', 'user', 'rows.lot.item', 'rows.pocket', 'lines', 'findings']);

        return new CheckResource(
            $check->id, $check->number, $check->kit->code, $check->kit->name, $check->kind, $check->started_at.'Z', $check->finished_at.'Z', $check->day,
            $check->signed, $check->user->name, $check->verdict, $check->next_check, $check->mass_g, $check->seal_found, $check->seal_set, $check->seal_reason, $check->note, $check->hash,
            array_values($check->rows->map(fn (CheckRow $row): CheckRowResource => new CheckRowResource(
                $row->pocket->name, $row->lot->item->code, $row->lot->item->name, $row->lot->number, $row->lot->expires, $row->condition, $row->recorded, $row->counted,
            ))->all()),
            array_values($check->lines->map(fn (CheckLine $line): CheckLineResource => new CheckLineResource($line->code, $line->need, $line->rank, $line->required, $line->effective, $line->reserve, $line->short))->all()),
            array_values($check->findings->map(fn (CheckFinding $finding): CheckFindingResource => new CheckFindingResource($finding->kind, $finding->severity, $finding->text))->all()),
        );
    }
}
