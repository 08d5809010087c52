<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Draft\Draft;
use App\Designs\Edition\ReadEdition;
use App\Designs\KeepMissed;
use App\Designs\MergeDrafts;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Designs\PublishDraft;
use App\Designs\ReadDraftEffects;
use App\Designs\ReadDrafts;
use App\Designs\ReadForesight;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Packing a design: what it begins with, what it makes, and publishing it. */
final class DraftController extends Controller
{
    #[OA\Get(path: '/designs/{design}/draft', operationId: 'readDraft', tags: ['designs'])]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Its latest edition, to be packed otherwise', content: new OA\JsonContent(ref: DraftStart::class))]
    public function ofDesign(Design $design, ReadDrafts $read): JsonResponse
    {
        return $this->json($read->ofEdition($design, $design->latest ?? abort(404)));
    }

    #[OA\Get(path: '/lists/{list}/layout', operationId: 'readLayout', tags: ['designs'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'empty', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['yes']))]
    #[OA\Response(
        response: 200, description: 'How its lines may be packed: pockets by class of item, or none yet',
        content: new OA\JsonContent(ref: DraftStart::class),
    )]
    public function ofList(Request $request, KitList $list, ReadDrafts $read): JsonResponse
    {
        return $this->json($read->ofList($list, $request->string('empty')->value() === 'yes'));
    }

    #[OA\Get(path: '/kits/{kit}/pattern', operationId: 'readPattern', tags: ['designs'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'A kit as it stands, as a design', content: new OA\JsonContent(ref: DraftStart::class))]
    public function ofKit(Kit $kit, ReadDrafts $read): JsonResponse
    {
        return $this->json($read->ofKit($kit, $this->today()));
    }

    #[OA\Put(
        path: '/designs/{design}/missed/{id}', operationId: 'noteMissed', tags: ['designs'],
        description: 'That an item was left behind, and then missed. The id is a ULID made by the page.',
    )]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NotedMissed::class))]
    #[OA\Response(response: 204, description: 'Whoever thinks of leaving it out is told')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function noteMissed(NotedMissed $request, Design $design, string $id, KeepMissed $keep): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $keep->note(
            $design, Str::lower($id), $request->string('item')->value(), $request->string('left_on')->value(), $request->string('note')->value(),
            $this->user($request), $this->today(),
        );

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(path: '/designs/{design}/missed/{id}', operationId: 'removeMissed', tags: ['designs'])]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'The remark is gone')]
    public function removeMissed(Design $design, string $id, KeepMissed $keep): JsonResponse
    {
        $keep->remove($design, Str::lower($id));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/designs/foresight', operationId: 'foreseeDesign', tags: ['designs'], description: 'What a design that is being packed makes.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SentDraft::class))]
    #[OA\Response(response: 200, description: 'Its lines, loads, advice and faults', content: new OA\JsonContent(ref: ForesightResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function foresee(SentDraft $request, ReadForesight $read): JsonResponse
    {
        return $this->json($read(Design::query()->find($request->designId()), $request->draft()->content(), $this->today()));
    }

    #[OA\Post(
        path: '/designs/{design}/effects', operationId: 'readDraftEffects', tags: ['designs'],
        description: 'What publishing it and adopting it would change in each of its kits.',
    )]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SentDraft::class))]
    #[OA\Response(response: 200, description: 'Kit by kit', content: new OA\JsonContent(ref: DraftEffects::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function effects(SentDraft $request, Design $design, ReadDraftEffects $read): JsonResponse
    {
        return $this->json($read($design, $request->draft()->content(), $this->today()));
    }

    #[OA\Post(
        path: '/designs/{design}/merging', operationId: 'mergeDraft', tags: ['designs'],
        description: 'Joins a draft with the edition that was published since it was begun.',
    )]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SentDraft::class))]
    #[OA\Response(response: 200, description: 'Both joined', content: new OA\JsonContent(ref: MergedResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function merge(SentDraft $request, Design $design, ReadEdition $read): JsonResponse
    {
        $latest = $design->latest ?? abort(404);
        $base = DesignEdition::query()->where('design_id', $design->id)->find($request->base())
            ?? abort(422, 'The edition that this draft was begun from is not known. Open the design again.');
        $theirs = Draft::of($read($latest));
        $needs = KitList::query()->with('lines')->findOrFail($latest->list_id)->lines->pluck('need', 'code')->all();
        $merged = MergeDrafts::of(Draft::of($read($base)), $request->draft(), $theirs, array_map(strval(...), $needs));

        return $this->json(new MergedResource($latest->id, $latest->number, $merged->draft, $theirs, $merged->taken, $merged->clashes));
    }

    #[OA\Put(
        path: '/designs/{id}/editions/{edition}', operationId: 'publishDesign', tags: ['designs'],
        description: 'Publishes a design, or the next edition of one. Both ids are ULIDs made by the page.',
    )]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'edition', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SentDraft::class))]
    #[OA\Response(response: 200, description: 'Published', content: new OA\JsonContent(ref: DesignEditionRef::class))]
    #[OA\Response(response: 409, description: 'Another edition was published meanwhile')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function publish(SentDraft $request, string $id, string $edition, PublishDraft $publish): JsonResponse
    {
        abort_unless(Str::isUlid($id) && Str::isUlid($edition), 404);
        $published = $publish(
            Str::lower($id), Str::lower($edition), $request->base(), $request->name(), $request->serves(), $request->draft(), now(),
        );

        return $this->json(DesignEditionRef::of($published->load('list')));
    }
}
