<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Lists\TakeReference;
use App\Lists\TakesReference;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** The catalogue of generic items, starter lists, house lists and modules that ship: offered whole or in part. */
final class ReferenceController extends Controller
{
    public function __construct(private readonly TakesReference $reference)
    {
    }

    #[OA\Get(path: '/reference', operationId: 'readReference', tags: ['lists'])]
    #[OA\Response(response: 200, description: 'What ships, and what is there of it', content: new OA\JsonContent(ref: ReferenceResource::class))]
    public function show(): JsonResponse
    {
        $there = array_flip(array_map(strval(...), DB::table('lists')->pluck('code')->all()));

        return $this->json(new ReferenceResource(
            $this->reference->items(), DB::table('items')->count(),
            array_map(static fn (array $list): ReferenceList => new ReferenceList(
                $list['code'], $list['title'], $list['size'], $list['basis'], $list['kind'], $list['lines'], isset($there[$list['code']]),
            ), $this->reference->lists()),
        ));
    }

    #[OA\Post(path: '/reference', operationId: 'takeReference', tags: ['lists'], description: 'What is there already stays as it is.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: TakenReference::class))]
    #[OA\Response(response: 200, description: 'What is there now', content: new OA\JsonContent(ref: ReferenceResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function take(TakenReference $request, TakeReference $take): JsonResponse
    {
        $take($request->boolean('all_items'), $request->lists());

        return $this->show();
    }
}
