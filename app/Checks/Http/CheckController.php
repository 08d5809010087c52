<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Checks\CheckNotes;
use App\Checks\FinishCheck;
use App\Checks\Models\Unsettled;
use App\Checks\ReadChecks;
use App\Checks\ReadUnsettled;
use App\Checks\SettlePieces;
use App\Kits\Models\Kit;
use App\Ledger\Keys;
use App\Ledger\Models\Operation;
use App\Ledger\SignedCopy;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class CheckController extends Controller
{
    #[
        OA\Put(
            path: '/checks/{id}',
            operationId: 'finishCheck',
            tags: ['checks'],
            description: 'Records a finished check. The id is a ULID made by the page: sent twice, the check counts '.
                'once. What arrives late is kept in any case.',
        ),
    ]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: FinishedCheck::class))]
    #[OA\Response(response: 200, description: 'It is on record', content: new OA\JsonContent(ref: FinishedResource::class))]
    #[
        OA\Response(
            response: 202,
            description: 'Kept, but not recorded: somebody must settle it',
            content: new OA\JsonContent(ref: KeptResource::class),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function finish(FinishedCheck $request, string $id, FinishCheck $finish, ReadChecks $read, ReadUnsettled $unsettled): JsonResponse
    {
        $recorded = $finish($request->report($id), $this->user($request));

        return $recorded->operation === null
            ? $this->json(new KeptResource($unsettled->rows($recorded->unsettled)), 202)
            : $this->json($read->finished($recorded->operation, $recorded->unsettled));
    }

    #[OA\Get(path: '/checks/{check}', operationId: 'readCheck', tags: ['checks'])]
    #[OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The check as it was signed', content: new OA\JsonContent(ref: CheckResource::class))]
    public function show(Operation $check, ReadChecks $read): JsonResponse
    {
        abort_unless($check->kind->isCheck(), 404);

        return $this->json($read->whole($check));
    }

    #[OA\Get(
        path: '/operations/{operation}/copy', operationId: 'readSignedCopy', tags: ['checks'],
        description: 'All that belongs to an operation as it is on record, with a checkpoint that this instance signed: proof for elsewhere.',
    )]
    #[OA\Parameter(name: 'operation', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'sarcina.record/1', content: new OA\JsonContent(type: 'object'))]
    public function copy(Operation $operation, Keys $keys): JsonResponse
    {
        return new JsonResponse(
            SignedCopy::of($operation->number, $this->today(), $keys),
            200,
            ['Content-Disposition' => "attachment; filename=\"record-{$operation->number}.json\""],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    #[OA\Get(path: '/notes', operationId: 'readNotes', tags: ['checks'], description: 'What was left at checks and waits for an answer')]
    #[OA\Response(response: 200, description: 'Oldest first', content: new OA\JsonContent(ref: NotesResource::class))]
    public function notes(CheckNotes $notes): JsonResponse
    {
        return $this->json($notes->all());
    }

    #[OA\Put(path: '/checks/{check}/answer', operationId: 'answerNote', tags: ['checks'])]
    #[OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AnsweredNote::class))]
    #[OA\Response(response: 200, description: 'Notes that are left', content: new OA\JsonContent(ref: NotesResource::class))]
    #[OA\Response(response: 409, description: 'Somebody else answered it in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function answer(AnsweredNote $request, Operation $check, CheckNotes $notes): JsonResponse
    {
        $notes->answer($check, $request->answer(), $this->user($request), now());

        return $this->json($notes->all());
    }

    #[
        OA\Get(
            path: '/unsettled',
            operationId: 'readUnsettled',
            tags: ['checks'],
            description: 'What arrived late and waits for somebody to settle it',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Response(
            response: 200,
            description: 'Oldest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: UnsettledResource::class)),
        ),
    ]
    public function unsettled(Request $request, ReadUnsettled $read): JsonResponse
    {
        $code = $request->query('kit');

        return $this->json($read(is_string($code) ? Kit::query()->where('code', $code)->firstOrFail()->id : null));
    }

    #[OA\Put(path: '/unsettled/{unsettled}', operationId: 'settle', tags: ['checks'])]
    #[OA\Parameter(name: 'unsettled', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SettledNote::class))]
    #[
        OA\Response(
            response: 200,
            description: 'What is left to settle',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: UnsettledResource::class)),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function settle(SettledNote $request, Unsettled $unsettled, SettlePieces $settle, ReadUnsettled $read): JsonResponse
    {
        $where = $request->validated('where');
        $settle($unsettled, is_string($where) ? $where : null, (string) $request->validated('note'), $this->user($request), now());

        return $this->json($read());
    }
}
