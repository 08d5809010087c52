<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Carry\Setting;
use App\Kits\KeepPlaces;
use App\Kits\MergePlaces;
use App\Kits\Models\Place;
use App\Kits\ReadMerging;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** The tree of places, as a lead keeps it. */
final class PlaceController extends Controller
{
    #[OA\Put(path: '/places/{id}', operationId: 'keepPlace', tags: ['places'], description: 'Adds a place, or renames it or hangs it elsewhere.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: KeptPlace::class))]
    #[OA\Response(response: 200, description: 'The place', content: new OA\JsonContent(ref: PlaceResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function keep(KeptPlace $request, string $id, KeepPlaces $keep): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $parent = $request->validated('parent_id');

        return $this->place($keep->keep(
            Str::lower($id), $request->string('name')->trim()->value(), $request->string('kind')->value(),
            is_string($parent) ? Str::lower($parent) : null,
            $request->exists('setting') ? ['setting' => $request->enum('setting', Setting::class)?->value] : [],
        ));
    }

    #[OA\Put(path: '/places/{place}/order', operationId: 'orderPlace', tags: ['places'], description: 'Puts it after another one in walking order.')]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['after'], properties: [
        new OA\Property(property: 'after', type: 'string', nullable: true, description: 'null: it is the first'),
    ]))]
    #[OA\Response(response: 200, description: 'The place', content: new OA\JsonContent(ref: PlaceResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function order(Request $request, Place $place, KeepPlaces $keep): JsonResponse
    {
        $after = $request->validate(
            ['after' => ['present', 'nullable', 'string', 'exists:places,id']],
            ['after.*' => 'This place is no longer there. Load the page again.'],
        )['after'];
        $keep->putAfter($place, is_string($after) ? Str::lower($after) : null);

        return $this->place($place->refresh());
    }

    #[OA\Put(
        path: '/places/{place}/retirement',
        operationId: 'retirePlace',
        tags: ['places'],
        description: 'Ends the use of a place where nothing is.',
    )]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The place', content: new OA\JsonContent(ref: PlaceResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function retire(Place $place, KeepPlaces $keep): JsonResponse
    {
        $keep->retire($place, $this->today());

        return $this->place($place->refresh());
    }

    #[OA\Get(path: '/places/{place}/merging', operationId: 'readMerging', tags: ['places'])]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What would follow it', content: new OA\JsonContent(ref: MergingResource::class))]
    public function merging(Place $place, ReadMerging $merging): JsonResponse
    {
        return $this->json($merging($place));
    }

    #[OA\Put(path: '/places/{place}/merging', operationId: 'mergePlace', tags: ['places'], description: 'Makes it part of another place.')]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['into'], properties: [
        new OA\Property(property: 'into', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'The place that it is part of now', content: new OA\JsonContent(ref: PlaceResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function merge(Request $request, Place $place, MergePlaces $merge): JsonResponse
    {
        $request->validate(['into' => ['bail', 'required', 'string', 'exists:places,id']], ['into.*' => 'Choose the place that it becomes part of.']);
        $into = Place::query()->findOrFail(Str::lower($request->string('into')->value()));
        $merge($place, $into, $this->user($request), now(), $this->today());

        return $this->place($into);
    }

    private function place(Place $place): JsonResponse
    {
        $kits = $place->kits()->where('retired_on', null)->where('parent_kit_id', null)->count();

        return $this->json(new PlaceResource(
            $place->id, $place->parent_id, $place->kind, $place->name, $place->path, $kits, $place->retired_on, setting: $place->setting,
        ));
    }
}
