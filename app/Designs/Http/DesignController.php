<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\ChangePolicy;
use App\Designs\DesignFromList;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\PlacedLine;
use App\Designs\MakeDesign;
use App\Designs\Models\Design;
use App\Judging\JudgingVersion;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use App\Kits\ReadKit;
use App\Lists\Models\KitList;
use App\Support\Http\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
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
    public function designs(KitPlans $plans, JudgingVersion $version): JsonResponse
    {
        // Plans that are kept are read at once.
        $version->now();
        $kits = Kit::query()->where('retired_on', null)->with('edition:id,design_id,number')->orderBy('code')->get(['code', 'design_edition_id']);
        $byDesign = $kits->groupBy(static fn (Kit $kit): string => $kit->edition->design_id);
        $resources = [];
        $designs = Design::query()->where('retired_on', null)->with(['latest.list', 'latest.seasons'])->orderBy('name')->get();
        $plans->readAhead(array_values(array_filter($designs->map(static fn (Design $design): ?string => $design->latest?->id)->all())));
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
            );
        }

        return $this->json($resources);
    }

    #[OA\Get(path: '/lists/{list}/layout', operationId: 'readLayout', tags: ['designs'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'How its lines may be packed: pockets by class of item, to be changed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ProposedLeaf::class)),
    )]
    public function layout(KitList $list): JsonResponse
    {
        $lines = $list->lines()->get()->keyBy('code');
        $line = static fn (PlacedLine $one): ProposedLine => new ProposedLine(
            $one->code, $lines[$one->code]->need, $lines[$one->code]->rank->value,
        );
        $pocket = static fn (CompartmentContent $one): ProposedPocket => new ProposedPocket($one->name, array_map($line, $one->lines));

        return $this->json(array_map(
            static fn (CompartmentContent $leaf): ProposedLeaf => new ProposedLeaf($leaf->name, array_map($pocket, $leaf->inside)),
            DesignFromList::proposal($list),
        ));
    }

    #[OA\Put(path: '/designs/{id}', operationId: 'makeDesign', tags: ['designs'], description: 'Makes a design. The id is a ULID made by the page.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewDesign'))]
    #[OA\Response(response: 204, description: 'It is there')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function make(NewDesignRequest $request, string $id, MakeDesign $make): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $make($request->design(Str::lower($id)), now());

        return new JsonResponse(null, 204);
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

    #[OA\Put(path: '/designs/{design}/retirement', operationId: 'retireDesign', tags: ['designs'], description: 'Only one that no kit uses.')]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'It is no longer offered')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function retire(Design $design, MakeDesign $make): JsonResponse
    {
        $make->retire($design, $this->today());

        return new JsonResponse(null, 204);
    }
}
