<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\BeginLine;
use App\Designs\ChangePolicy;
use App\Designs\Models\Design;
use App\Designs\ReadBeside;
use App\Designs\ReadFollowing;
use App\Designs\ReadWaitingLines;
use App\Designs\RetireDesign;
use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Support\Http\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** The designs that kits are made of. */
final class DesignController extends Controller
{
    #[OA\Get(path: '/designs', operationId: 'readDesigns', tags: ['designs'])]
    #[
        OA\Response(
            response: 200,
            description: 'All designs',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: DesignResource::class)),
        ),
    ]
    public function designs(KitPlans $plans, JudgingVersion $version, ReadWaitingLines $readWaiting): JsonResponse
    {
        // Plans that are kept are read at once.
        $version->now();
        $kits = Kit::query()->where('retired_on', null)->with('edition:id,design_id,number')->orderBy('code')->get(['code', 'design_edition_id']);
        $byDesign = $kits->groupBy(static fn (Kit $kit): string => $kit->edition->design_id);
        $resources = [];
        $designs = Design::query()->where('retired_on', null)->with(['latest.list', 'latest.seasons'])->orderBy('name')->get();
        $editions = array_values(array_filter($designs->map(static fn (Design $design): ?string => $design->latest?->id)->all()));
        $waiting = $readWaiting($editions);
        $plans->readAhead($editions);
        foreach ($designs as $design) {
            $latest = $design->latest;
            if ($latest === null) {
                continue;
            }
            $plan = $plans->of($latest->id);
            $own = $byDesign->get($design->id) ?? new Collection;
            $resources[] = new DesignResource(
                $design->id,
                $design->code,
                $design->name,
                DesignEditionRef::of($latest),
                ReadKit::list($plan),
                $plan->policy->sealed,
                array_values($own->pluck('code')->all()),
                array_values($own->filter(static fn (Kit $kit): bool => $kit->edition->number < $latest->number)->pluck('code')->all()),
                ReadKit::leaves($plan),
                count($plan->lines),
                DesignPolicyResource::of($latest),
                $waiting[$latest->id] ?? [],
            );
        }

        return $this->json($resources);
    }

    #[OA\Put(
        path: '/designs/{design}/policy',
        operationId: 'changePolicy',
        tags: ['designs'],
        description: 'Publishes the next edition, which is held otherwise. Kits keep theirs until somebody adopts it for them.',
    )]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ChangedPolicy::class))]
    #[OA\Response(response: 204, description: 'Published')]
    #[OA\Response(response: 409, description: 'Another edition was published meanwhile')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function policy(ChangedPolicy $request, Design $design, ChangePolicy $change): JsonResponse
    {
        $change($design, Str::lower($request->string('edition')->value()), $request->on(...), now());

        return new JsonResponse(null, 204);
    }

    #[OA\Get(path: '/choices/editions', operationId: 'readEditionChoices', tags: ['designs'])]
    #[OA\Response(
        response: 200, description: 'Published editions of all designs',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: EditionChoice::class)),
    )]
    public function editions(ReadBeside $read): JsonResponse
    {
        return $this->json($read->choices());
    }

    #[OA\Get(path: '/beside', operationId: 'readBeside', tags: ['designs'], description: 'Two editions beside each other.')]
    #[OA\Parameter(name: 'one', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'one_in', in: 'query', required: false, description: 'a configuration', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'other', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'other_in', in: 'query', required: false, description: 'a configuration', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What each holds', content: new OA\JsonContent(ref: BesideResource::class))]
    #[OA\Response(response: 422, description: 'Not two published editions')]
    public function beside(Request $request, ReadBeside $read): JsonResponse
    {
        $text = static fn (string $key): string => $request->string($key)->value();

        return $this->json($read(
            [Str::lower($text('one')), $text('one_in')], [Str::lower($text('other')), $text('other_in')], $this->today(),
        ));
    }

    #[OA\Get(path: '/following', operationId: 'readFollowing', tags: ['designs'])]
    #[OA\Response(
        response: 200, description: 'Kits that are to follow a later edition of their design',
        content: new OA\JsonContent(ref: FollowingResource::class),
    )]
    public function following(ReadFollowing $read): JsonResponse
    {
        return $this->json($read($this->today()));
    }

    #[OA\Put(
        path: '/designs/{design}/lines/{line}/beginning', operationId: 'beginLine', tags: ['designs'],
        description: 'What a planned line waits for has begun: its kits are asked for it from that day on.',
    )]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'line', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: BegunLine::class))]
    #[OA\Response(response: 204, description: 'Its kits are judged again')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function begin(BegunLine $request, Design $design, string $line, BeginLine $begin): JsonResponse
    {
        $begin->begin(
            $design, $line, $request->string('on_day')->value(), $request->string('reason')->value(), $this->user($request), now(),
            $this->today(),
        );

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(path: '/designs/{design}/lines/{line}/beginning', operationId: 'endLine', tags: ['designs'], description: 'It has ended.')]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'line', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'Its kits are judged again')]
    public function end(Request $request, Design $design, string $line, BeginLine $begin): JsonResponse
    {
        $begin->end($design, $line, $this->user($request), $this->today());

        return new JsonResponse(null, 204);
    }

    #[OA\Put(path: '/designs/{design}/retirement', operationId: 'retireDesign', tags: ['designs'], description: 'Only one that no kit uses.')]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'It is no longer offered')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function retire(Design $design, RetireDesign $retire): JsonResponse
    {
        $retire($design, $this->today());

        return new JsonResponse(null, 204);
    }
}
