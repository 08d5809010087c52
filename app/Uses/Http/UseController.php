<?php

declare(strict_types=1);

namespace App\Uses\Http;

use App\Accounts\SignedName;
use App\Checks\Http\RecordedOfKit;
use App\Checks\ReadUnsettled;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Support\Http\Controller;
use App\Uses\RecordUse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class UseController extends Controller
{
    #[OA\Put(
        path: '/kits/{kit}/uses/{id}', operationId: 'useKit', tags: ['kits'],
        description: 'Records what was taken out of a kit, and why. The id is a ULID made by the page: sent twice, it counts once.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ReportedUse::class))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: RecordedOfKit::class))]
    #[OA\Response(
        response: 202, description: 'Kept, but nothing of it could be recorded: somebody must settle it',
        content: new OA\JsonContent(ref: RecordedOfKit::class),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function use(ReportedUse $request, Kit $kit, string $id, RecordUse $record, ReadKit $describe, ReadUnsettled $unsettled): JsonResponse
    {
        if ($request->filled('report_id')) {
            // A report is confirmed by who answers for the kit.
            Gate::authorize('answerFor', $kit);
        }
        if ($request->filled('handed_back_by')) {
            $name = $request->string('handed_back_by')->value();
            if (! SignedName::isOf($this->user($request)->name, $name)) {
                throw ValidationException::withMessages([
                    'handed_back_by' => "You are signed in as {$this->user($request)->name}. Sign with that name or its initials.",
                ]);
            }
        }
        $recorded = $record($request->report($kit, $id), $this->user($request));

        return $this->json(
            new RecordedOfKit($recorded->operation, $unsettled->rows($recorded->unsettled), $describe($kit->refresh(), $this->today())),
            $recorded->operation === null ? 202 : 200,
        );
    }
}
