<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Assess\AnswerArea;
use App\Assess\CarryOutPlan;
use App\Assess\Choices;
use App\Assess\CloseTask;
use App\Assess\GivePlanTask;
use App\Assess\Models\AreaChange;
use App\Assess\Models\Assessment;
use App\Assess\Models\AssessmentArea;
use App\Assess\Models\PlanTask;
use App\Assess\Models\ProvisionChoice;
use App\Assess\Planner;
use App\Assess\ReadAssessments;
use App\Assess\SayAreaChanged;
use App\Assess\SignAssessment;
use App\Assess\StartAssessment;
use App\Assess\Wanted;
use App\People\ReadCover;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Assessments of the site: areas, answers, overrides, both plans, and the work that carries one out. */
final class AssessmentController extends Controller
{
    #[OA\Get(path: '/assessments', operationId: 'readAssessments', tags: ['assess'])]
    #[
        OA\Response(
            response: 200,
            description: 'All assessments, newest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: AssessmentSummary::class)),
        ),
    ]
    public function all(ReadAssessments $read): JsonResponse
    {
        return $this->json($read->all($this->today()));
    }

    #[OA\Post(path: '/assessments', operationId: 'startAssessment', tags: ['assess'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewAssessment::class))]
    #[
        OA\Response(
            response: 201,
            description: 'A new assessment that goes on from the last',
            content: new OA\JsonContent(ref: AssessmentResource::class),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(NewAssessment $request, StartAssessment $start, ReadAssessments $read): JsonResponse
    {
        /** @var array{id: string, title: string, scheme: string} $about */
        $about = $request->validated();

        return $this->json(
            $read->one($start([...$about, 'id' => Str::lower($about['id'])], $this->user($request), $this->today()), $this->today()),
            201,
        );
    }

    #[OA\Get(path: '/assessments/{assessment}', operationId: 'readAssessment', tags: ['assess'])]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The assessment, both plans and the work', content: new OA\JsonContent(ref: AssessmentResource::class))]
    public function show(Assessment $assessment, ReadAssessments $read): JsonResponse
    {
        return $this->json($read->one($assessment, $this->today()));
    }

    #[OA\Put(path: '/assessments/{assessment}', operationId: 'changeAssessment', tags: ['assess'])]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AssessmentSettings::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function change(AssessmentSettings $request, Assessment $assessment, AnswerArea $areas, ReadAssessments $read): JsonResponse
    {
        $areas->refuseSigned($assessment);
        $assessment->update($request->validated());

        return $this->json($read->one($assessment, $this->today()));
    }

    #[
        OA\Put(
            path: '/assessments/{assessment}/areas/{id}',
            operationId: 'answerArea',
            tags: ['assess'],
            description: 'Keeps the answers for an area; an id that is not known makes a new one. The plan that follows comes back at once.',
        ),
    ]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AssessedArea::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 409, description: 'Somebody else answered in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function answer(AssessedArea $request, Assessment $assessment, string $id, AnswerArea $answer, ReadAssessments $read): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $answer($assessment, Str::lower($id), $request->answers(), $request->base());

        return $this->json($read->one($assessment, $this->today()));
    }

    #[OA\Delete(path: '/areas/{area}', operationId: 'removeArea', tags: ['assess'])]
    #[OA\Parameter(name: 'area', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function remove(AssessmentArea $area, AnswerArea $answer, ReadAssessments $read): JsonResponse
    {
        $answer->remove($area);

        return $this->json($read->one($area->assessment->refresh(), $this->today()));
    }

    #[OA\Put(path: '/areas/{area}/override', operationId: 'overrideFigure', tags: ['assess'])]
    #[OA\Parameter(name: 'area', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AreaOverrideFigure::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function override(AreaOverrideFigure $request, AssessmentArea $area, AnswerArea $answer, ReadAssessments $read): JsonResponse
    {
        /** @var array{plan: string, wanted: string, count?: int|null, reason?: string|null} $figure */
        $figure = $request->validated();
        $answer->override(
            $area,
            $figure['plan'],
            $figure['wanted'],
            isset($figure['count']) ? (int) $figure['count'] : null,
            $figure['reason'] ?? '',
            $this->user($request),
            now(),
        );

        return $this->json($read->one($area->assessment, $this->today()));
    }

    #[
        OA\Post(
            path: '/areas/{area}/changes',
            operationId: 'sayAreaChanged',
            tags: ['assess'],
            description: 'Says that an area is no longer as it was assessed; the assessment is asked for again.',
        ),
    ]
    #[OA\Parameter(name: 'area', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SeenAreaChange::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function changed(SeenAreaChange $request, AssessmentArea $area, SayAreaChanged $say, ReadAssessments $read): JsonResponse
    {
        $say(new AreaChange([
            'assessment_area_id' => $area->id,
            'what' => $request->validated('what'),
            'user_id' => $this->user($request)->id,
            'seen_on' => $this->today(),
        ]));

        return $this->json($read->one($area->assessment, $this->today()));
    }

    #[OA\Put(path: '/assessments/{assessment}/signature', operationId: 'signAssessment', tags: ['assess'])]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SignedAssessment::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function sign(SignedAssessment $request, Assessment $assessment, SignAssessment $sign, ReadAssessments $read): JsonResponse
    {
        $sign(
            $assessment,
            (string) $request->validated('chosen'),
            (string) $request->validated('signed'),
            $this->user($request),
            now(),
            $this->today(),
        );

        return $this->json($read->one($assessment->refresh(), $this->today()));
    }

    #[
        OA\Post(
            path: '/assessments/{assessment}/tasks',
            operationId: 'carryOutPlan',
            tags: ['assess'],
            description: 'Calculates the difference between the chosen plan and the kits that exist, as work.',
        ),
    ]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function carryOut(Assessment $assessment, CarryOutPlan $carry, ReadAssessments $read): JsonResponse
    {
        return $this->json($read->one($carry($assessment), $this->today()));
    }

    #[OA\Put(path: '/tasks/{task}/given', operationId: 'givePlanTask', tags: ['assess'])]
    #[OA\Parameter(name: 'task', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: GivenPlanTask::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function give(GivenPlanTask $request, PlanTask $task, GivePlanTask $give, ReadAssessments $read): JsonResponse
    {
        $user = $request->validated('user_id');
        $day = $request->validated('due_on');
        $give($task, is_string($user) ? strtolower($user) : null, is_string($day) ? $day : null);

        return $this->json($read->one($task->assessment, $this->today()));
    }

    #[OA\Put(path: '/tasks/{task}', operationId: 'closeTask', tags: ['assess'])]
    #[OA\Parameter(name: 'task', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ClosedTask::class))]
    #[OA\Response(response: 200, description: 'The assessment as it is now', content: new OA\JsonContent(ref: AssessmentResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function close(ClosedTask $request, PlanTask $task, CloseTask $close, ReadAssessments $read): JsonResponse
    {
        $request->validated('state') === 'done'
            ? $close->do($task, $request->validated('place_id'), $this->user($request), now(), $this->today())
            : $close->drop($task, (string) $request->validated('reason'), $this->user($request), $this->today());

        return $this->json($read->one($task->assessment, $this->today()));
    }

    #[
        OA\Get(
            path: '/assessments/{assessment}/file',
            operationId: 'readAssessmentFile',
            tags: ['assess'],
            description: 'The sarcina.assessment/1 document that the plan rests on.',
        ),
    ]
    #[OA\Parameter(name: 'assessment', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The document', content: new OA\JsonContent(type: 'object'))]
    public function file(Assessment $assessment): JsonResponse
    {
        return new JsonResponse(
            Planner::document($assessment, array_values($assessment->areas->all())),
            200,
            ['Content-Disposition' => 'attachment; filename="assessment.json"'],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    #[OA\Get(path: '/choices', operationId: 'readChoices', tags: ['assess'])]
    #[
        OA\Response(
            response: 200,
            description: 'Which list each kit and module of a plan keeps',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ChoiceResource::class)),
        ),
    ]
    public function choices(Choices $choices): JsonResponse
    {
        return $this->json($choices->all());
    }

    #[OA\Put(path: '/choices/{wanted}', operationId: 'chooseList', tags: ['assess'])]
    #[OA\Parameter(name: 'wanted', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ProvisionChoiceMade::class))]
    #[
        OA\Response(
            response: 200,
            description: 'Which list each kit and module of a plan keeps',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ChoiceResource::class)),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function choose(ProvisionChoiceMade $request, string $wanted, Choices $choices): JsonResponse
    {
        abort_unless(in_array($wanted, Wanted::all(), true), 404);
        ProvisionChoice::query()->updateOrCreate(
            ['wanted' => $wanted],
            ['list_id' => $request->validated('list_id'), 'design_id' => $request->validated('design_id')],
        );
        $choices->forget();

        return $this->json($choices->all());
    }

    #[OA\Get(path: '/asks', operationId: 'readAsks', tags: ['assess'])]
    #[
        OA\Response(
            response: 200,
            description: 'What asks for the planner\'s attention',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: AskResource::class)),
        ),
    ]
    public function asks(ReadCover $cover): JsonResponse
    {
        return $this->json($cover->asks($this->today()));
    }
}
