<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Assess\Models\PlanTask;
use App\Checks\Http\CountedContents;
use App\Judging\KitJudge;
use App\Kits\EquipKit;
use App\Kits\Models\Kit;
use App\Kits\ReadHistory;
use App\Kits\ReadKit;
use App\Kits\ReadVerdict;
use App\Kits\SealKit;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Format\KitDocument;
use Sarcina\Core\Format\WholeDocument;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class KitController extends Controller
{
    #[OA\Get(path: '/kits/{kit}', operationId: 'readKit', tags: ['kits'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, description: 'The code on the kit', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The kit as recorded, judged today', content: new OA\JsonContent(ref: KitResource::class))]
    public function show(Kit $kit, ReadKit $describe): JsonResponse
    {
        return $this->json($describe($kit, $this->today()));
    }

    #[OA\Post(path: '/kits', operationId: 'equipKit', tags: ['kits'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewKit::class))]
    #[OA\Response(response: 201, description: 'An empty kit, ready to be filled', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(NewKit $request, EquipKit $equip, ReadKit $describe): JsonResponse
    {
        return $this->json(
            $describe(
                $equip(
                    $request->report(),
                    $this->user($request),
                    now(),
                    $this->today(),
                    PlanTask::query()->where('id', $request->validated('task'))->first(),
                ),
                $this->today(),
            ),
            201,
        );
    }

    #[
        OA\Post(
            path: '/kits/{kit}/judgement',
            operationId: 'judgeContents',
            tags: ['kits'],
            description: 'What the verdict would be for contents as counted so far. Nothing is recorded.',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: CountedContents::class))]
    #[
        OA\Response(
            response: 200,
            description: 'The verdict as though a full check were signed today',
            content: new OA\JsonContent(ref: VerdictResource::class),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function judge(CountedContents $request, Kit $kit, KitJudge $judge, ReadVerdict $describe): JsonResponse
    {
        return $this->json($describe($judge->judge($kit, $this->today(), $request->contentRows($kit), $request->asChecked())));
    }

    #[
        OA\Put(
            path: '/kits/{kit}/seals/{id}',
            operationId: 'sealKit',
            tags: ['kits'],
            description: 'Records that the kit was closed with a seal, or that its seal is broken. Sent twice, it counts once.',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SealNote::class))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: KitResource::class))]
    #[
        OA\Response(
            response: 202,
            description: 'Kept, but not recorded: somebody must settle it',
            content: new OA\JsonContent(ref: KitResource::class),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function seal(SealNote $request, Kit $kit, string $id, SealKit $seal, ReadKit $describe): JsonResponse
    {
        $recorded = $seal($request->report($kit, $id), $this->user($request));

        return $this->json($describe($kit->refresh(), $this->today()), $recorded->operation === null ? 202 : 200);
    }

    #[
        OA\Get(
            path: '/kits/{kit}/file',
            operationId: 'readKitFile',
            tags: ['kits'],
            description: 'The sarcina.kit/1 document that the page\'s status rests on; sarcina.whole/1 where there are several.',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The document', content: new OA\JsonContent(type: 'object'))]
    public function file(Kit $kit, KitJudge $judge): JsonResponse
    {
        $documents = $judge->judge($kit, $this->today())->documents;

        return new JsonResponse(
            count($documents) === 1 ? KitDocument::of($documents[0]) : WholeDocument::of($documents), 200,
            ['Content-Disposition' => "attachment; filename=\"{$kit->code}.kit.json\""],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    #[OA\Get(path: '/kits/{kit}/history', operationId: 'readHistory', tags: ['kits'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Parameter(
            name: 'before',
            in: 'query',
            required: false,
            description: 'Only what is older than this operation',
            schema: new OA\Schema(type: 'integer'),
        ),
    ]
    #[OA\Parameter(
        name: 'only',
        in: 'query',
        required: false,
        schema: new OA\Schema(type: 'string', enum: ['checks', 'contents', 'seals', 'changes']),
    )]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Response(response: 200, description: 'Checks and movements, newest first', content: new OA\JsonContent(ref: HistoryResource::class))]
    public function history(Request $request, Kit $kit, ReadHistory $history): JsonResponse|StreamedResponse
    {
        /** @var array{before?: int|string, only?: string|null, format?: string} $query */
        $query = $request->validate([
            'before' => ['integer', 'min:1'], 'only' => ['nullable', Rule::in(array_keys(ReadHistory::ONLY))],
            'format' => [Rule::in(['json', 'csv'])],
        ]);
        if (($query['format'] ?? 'json') === 'csv') {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of("{$kit->code}-history", ReadHistory::headings(), $history->sheet($kit, $query['only'] ?? null));
        }

        return $this->json($history($kit, isset($query['before']) ? (int) $query['before'] : null, $query['only'] ?? null));
    }
}
