<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Builds\FinishBuild;
use App\Builds\KeepBuilds;
use App\Builds\ReadBuild;
use App\Checks\Http\RecordedOfKit;
use App\Checks\ReadUnsettled;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** A kit is repacked, step by step: everything out, and back in only what its design asks for. */
final class BuildController extends Controller
{
    #[OA\Get(path: '/kits/{kit}/build', operationId: 'planBuild', tags: ['kits'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'store', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What comes out, what goes back and in', content: new OA\JsonContent(ref: BuildPlan::class))]
    public function plan(Request $request, Kit $kit, ReadBuild $read): JsonResponse
    {
        /** @var array{store?: string} $query */
        $query = $request->validate(['store' => ['ulid', 'exists:stores,id']]);
        $plan = $read($kit, $query['store'] ?? null, $this->today(), $this->user($request));

        return $this->json($plan ?? abort(422, 'There is no store yet: add one before a kit is packed from it.'));
    }

    #[OA\Put(
        path: '/kits/{kit}/builds/{id}/beginning', operationId: 'beginBuild', tags: ['kits'],
        description: 'From now on everything may be out of the kit: it is not ready. The id is a ULID made by the page.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: BegunBuild::class))]
    #[OA\Response(response: 204, description: 'It is not ready until this has ended')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function begin(BegunBuild $request, Kit $kit, string $id, KeepBuilds $keep): JsonResponse
    {
        $keep->begin($kit, self::id($id), $this->user($request), $request->begunAt());

        return new JsonResponse(null, 204);
    }

    #[OA\Put(path: '/kits/{kit}/builds/{id}/leaving', operationId: 'leaveBuild', tags: ['kits'], description: 'Hands it over half done.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: LeftBuild::class))]
    #[OA\Response(response: 204, description: 'Whoever may restock the kit can go on with it')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function leave(LeftBuild $request, Kit $kit, string $id, KeepBuilds $keep): JsonResponse
    {
        $keep->leave(
            $kit, self::id($id), $this->user($request), now(), $request->string('work')->value(), $request->integer('version'),
            $request->integer('pockets_packed'), $request->integer('pockets'), $request->string('note')->value() ?: null,
        );

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/kits/{kit}/builds/{id}/taking', operationId: 'takeUpBuild', tags: ['kits'], description: 'Goes on with it.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'seen', type: 'string', nullable: true, description: 'the account that had taken it up when that was read'),
    ]))]
    #[OA\Response(response: 200, description: 'The work as it was left', content: new OA\JsonContent(ref: LeftWork::class))]
    #[OA\Response(response: 422, description: 'Somebody else has it')]
    public function takeUp(Request $request, Kit $kit, string $id, KeepBuilds $keep): JsonResponse
    {
        $seen = $request->validate(['seen' => ['nullable', 'string', 'max:26']])['seen'] ?? null;
        $build = $keep->takeUp($kit, self::id($id), $this->user($request), now(), is_string($seen) ? Str::lower($seen) : null);

        return $this->json(new LeftWork($build->id, (int) $build->left_version, (string) $build->left_work));
    }

    #[OA\Put(path: '/kits/{kit}/builds/{id}/end', operationId: 'endBuild', tags: ['kits'], description: 'Ends it without a record.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: EndedBuild::class))]
    #[OA\Response(response: 204, description: 'The kit is judged as it is on record')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function end(EndedBuild $request, Kit $kit, string $id, KeepBuilds $keep): JsonResponse
    {
        $keep->end($kit, self::id($id), $this->user($request), now(), $request->string('outcome')->value());

        return new JsonResponse(null, 204);
    }

    #[OA\Put(
        path: '/kits/{kit}/builds/{id}', operationId: 'finishBuild', tags: ['kits'],
        description: 'Records a kit as it was repacked. The id is a ULID made by the page: sent twice, it counts once.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: FinishedBuild::class))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: RecordedOfKit::class))]
    #[OA\Response(
        response: 202, description: 'Kept, but nothing of it could be recorded: somebody must settle it',
        content: new OA\JsonContent(ref: RecordedOfKit::class),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function finish(
        FinishedBuild $request, Kit $kit, string $id, FinishBuild $finish, ReadKit $describe, ReadUnsettled $unsettled,
    ): JsonResponse {
        $recorded = $finish($request->report($kit, $id), $this->user($request));

        return $this->json(
            new RecordedOfKit($recorded->operation, $unsettled->rows($recorded->unsettled), $describe($kit->refresh(), $this->today())),
            $recorded->operation === null ? 202 : 200,
        );
    }

    private static function id(string $id): string
    {
        abort_unless(Str::isUlid($id), 404);

        return Str::lower($id);
    }
}
