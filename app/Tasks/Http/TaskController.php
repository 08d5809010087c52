<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Kits\Models\Kit;
use App\Support\Http\Controller;
use App\Tasks\AnswerForKit;
use App\Tasks\CloseKitTask;
use App\Tasks\GiveTask;
use App\Tasks\Models\KitTask;
use App\Tasks\ReadGivenTasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Who answers for a kit, and what somebody was asked to do with it. */
final class TaskController extends Controller
{
    #[OA\Get(path: '/kit-tasks', operationId: 'readKitTasks', tags: ['tasks'])]
    #[OA\Parameter(name: 'whose', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['mine', 'all']))]
    #[OA\Parameter(name: 'kit', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Open tasks, the most pressing first', content: new OA\JsonContent(ref: GivenTasks::class))]
    public function all(Request $request, ReadGivenTasks $tasks): JsonResponse
    {
        /** @var array{whose?: string, kit?: string} $query */
        $query = $request->validate(['whose' => [Rule::in(['mine', 'all'])], 'kit' => ['string', 'exists:kits,code']]);
        $kit = isset($query['kit']) ? Kit::query()->where('code', $query['kit'])->firstOrFail() : null;

        return $this->json($tasks($kit, ($query['whose'] ?? 'all') === 'mine' ? $this->user($request) : null, $this->today()));
    }

    #[
        OA\Put(
            path: '/kits/{kit}/tasks/{id}',
            operationId: 'giveTask',
            tags: ['tasks'],
            description: 'Gives work on a kit to somebody. The id is a ULID made by the page: sent twice, it is given once.',
        ),
    ]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewTask::class))]
    #[OA\Response(response: 200, description: 'The open tasks of the kit', content: new OA\JsonContent(ref: GivenTasks::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function give(NewTask $request, Kit $kit, string $id, GiveTask $give, ReadGivenTasks $tasks): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $give($request->given(Str::lower($id)), $kit, $this->user($request), $this->today());

        return $this->json($tasks($kit, null, $this->today()));
    }

    #[OA\Put(path: '/kit-tasks/{kitTask}', operationId: 'closeKitTask', tags: ['tasks'])]
    #[OA\Parameter(name: 'kitTask', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ClosedKitTask::class))]
    #[OA\Response(response: 200, description: 'The open tasks of its kit', content: new OA\JsonContent(ref: GivenTasks::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function close(ClosedKitTask $request, KitTask $kitTask, CloseKitTask $close, ReadGivenTasks $tasks): JsonResponse
    {
        $outcome = $request->validated('outcome');
        $close(
            $kitTask, $request->validated('state') === 'done' ? 'done' : 'withdrawn', is_string($outcome) ? $outcome : null,
            $this->user($request), $this->today(),
        );

        return $this->json($tasks($kitTask->kit, null, $this->today()));
    }

    #[OA\Put(path: '/kits/{kit}/responsible', operationId: 'answerForKit', tags: ['tasks'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: KitResponsibility::class))]
    #[OA\Response(response: 200, description: 'Who answers for it, and its tasks', content: new OA\JsonContent(ref: GivenTasks::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function responsible(KitResponsibility $request, Kit $kit, AnswerForKit $answer, ReadGivenTasks $tasks): JsonResponse
    {
        $answer($kit, $request->of('responsible_id'), $request->of('deputy_id'));

        return $this->json($tasks($kit->refresh(), null, $this->today()));
    }
}
