<?php

declare(strict_types=1);

namespace App\Rotations\Http;

use App\Rotations\CarryOutMove;
use App\Rotations\KeepRotations;
use App\Rotations\Models\Rotation;
use App\Rotations\Models\RotationMove;
use App\Rotations\ReadRotation;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** What should move to where it will be used, and that it was moved. */
final class RotationController extends Controller
{
    #[OA\Get(path: '/rotation', operationId: 'readRotation', tags: ['stores'])]
    #[OA\Response(response: 200, description: 'The plan, or what is proposed', content: new OA\JsonContent(ref: RotationResource::class))]
    public function show(ReadRotation $read): JsonResponse
    {
        return $this->json($read($this->today()));
    }

    #[OA\Put(path: '/rotations/{id}', operationId: 'agreeRotation', tags: ['stores'],
        description: 'The id is a ULID made by the page: sent twice, one plan is kept.')]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: RotationResource::class))]
    #[OA\Response(response: 422, description: 'Nothing would be saved, or another plan is being carried out')]
    public function agree(Request $request, string $id, KeepRotations $keep, ReadRotation $read): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $keep->agree(Str::lower($id), $this->user($request), $this->today());

        return $this->json($read($this->today()));
    }

    #[OA\Put(path: '/rotation-moves/{move}/operations/{id}', operationId: 'carryOutMove', tags: ['stores'],
        description: 'The id is a ULID made by the page: sent twice, it counts once.')]
    #[OA\Parameter(name: 'move', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: RotationResource::class))]
    #[OA\Response(response: 422, description: 'The pieces are not there, or a kit is closed')]
    public function carryOut(Request $request, RotationMove $move, string $id, CarryOutMove $carryOut, ReadRotation $read): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $carryOut($move, Str::lower($id), $this->user($request), now());

        return $this->json($read($this->today()));
    }

    #[OA\Put(path: '/rotation-moves/{move}/dropping', operationId: 'dropMove', tags: ['stores'])]
    #[OA\Parameter(name: 'move', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['reason'], properties: [
        new OA\Property(property: 'reason', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: RotationResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function drop(Request $request, RotationMove $move, KeepRotations $keep, ReadRotation $read): JsonResponse
    {
        $request->validate(['reason' => ['required', 'string', 'max:200']], ['reason.*' => 'Say why it is left out, in at most 200 characters.']);
        $keep->drop($move, $request->string('reason')->trim()->value(), $this->today());

        return $this->json($read($this->today()));
    }

    #[OA\Put(path: '/rotations/{rotation}/end', operationId: 'endRotation', tags: ['stores'])]
    #[OA\Parameter(name: 'rotation', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What is proposed', content: new OA\JsonContent(ref: RotationResource::class))]
    public function end(Rotation $rotation, KeepRotations $keep, ReadRotation $read): JsonResponse
    {
        $keep->end($rotation, $this->today());

        return $this->json($read($this->today()));
    }
}
