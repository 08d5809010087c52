<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\ForgetPeople;
use App\People\KeepPeople;
use App\People\KeepShifts;
use App\People\Models\FirstAider;
use App\People\ReadCover;
use App\People\ReadPeople;
use App\People\Shifts;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;
use Sarcina\Core\Staffing\Shift;

/** First aiders, where they are posted, and how many each place asks for. Names are for who plans alone. */
final class PeopleController extends Controller
{
    #[OA\Get(path: '/people', operationId: 'readPeople', tags: ['people'])]
    #[
        OA\Response(
            response: 200,
            description: 'The first aiders with their qualifications and postings',
            content: new OA\JsonContent(ref: PeopleResource::class),
        ),
    ]
    public function all(ReadPeople $people): JsonResponse
    {
        return $this->json($people($this->today()));
    }

    #[OA\Put(path: '/people/{id}', operationId: 'keepFirstAider', tags: ['people'])]
    #[
        OA\Parameter(
            name: 'id',
            in: 'path',
            required: true,
            description: 'a ULID; one that is not known makes a new record',
            schema: new OA\Schema(type: 'string'),
        ),
    ]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: KeptFirstAider::class))]
    #[OA\Response(response: 200, description: 'The first aiders as they are now', content: new OA\JsonContent(ref: PeopleResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function keep(KeptFirstAider $request, string $id, KeepPeople $keep, ForgetPeople $forget, ReadPeople $people): JsonResponse
    {
        abort_unless(Str::isUlid($id), 404);
        $forget($this->today());
        $keep->person(Str::lower($id), $request->person());

        return $this->json($people($this->today()));
    }

    #[OA\Delete(path: '/people/{person}', operationId: 'removeFirstAider', tags: ['people'])]
    #[OA\Parameter(name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The first aiders as they are now', content: new OA\JsonContent(ref: PeopleResource::class))]
    public function remove(FirstAider $person, KeepPeople $keep, ReadPeople $people): JsonResponse
    {
        $keep->remove($person);

        return $this->json($people($this->today()));
    }

    #[OA\Get(path: '/shifts', operationId: 'readShifts', tags: ['people'])]
    #[
        OA\Response(
            response: 200,
            description: 'The shifts with their days and hours',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShiftResource::class)),
        ),
    ]
    public function shifts(Shifts $shifts): JsonResponse
    {
        $on = $shifts->on(now());

        return $this->json(array_map(static fn (Shift $shift): ShiftResource => new ShiftResource(
            $shift->name, $shift->weekdays, Shifts::time($shift->from), Shifts::time($shift->to), in_array($shift->name, $on, true),
        ), $shifts->all()));
    }

    #[OA\Put(path: '/shifts', operationId: 'keepShifts', tags: ['people'], description: 'Sets all shifts.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: KeptShifts::class))]
    #[
        OA\Response(
            response: 200,
            description: 'The shifts with their days and hours',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShiftResource::class)),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function keepShifts(KeptShifts $request, KeepShifts $keep, Shifts $shifts): JsonResponse
    {
        $keep($request->shifts());

        return $this->shifts($shifts);
    }

    #[OA\Get(path: '/cover', operationId: 'readCover', tags: ['people'])]
    #[
        OA\Response(
            response: 200,
            description: 'How many first aiders each place asks for and has, by shift',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShiftCover::class)),
        ),
    ]
    public function cover(ReadCover $cover): JsonResponse
    {
        return $this->json($cover->all($this->today()));
    }

    #[OA\Put(path: '/cover', operationId: 'askForCover', tags: ['people'], description: 'Sets all that one place asks for.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: CoverNeeded::class))]
    #[
        OA\Response(
            response: 200,
            description: 'How many first aiders each place asks for and has, by shift',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShiftCover::class)),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function need(CoverNeeded $request, KeepPeople $keep, ReadCover $cover): JsonResponse
    {
        $keep->needs(Str::lower((string) $request->validated('place_id')), $request->needs());

        return $this->json($cover->all($this->today()));
    }
}
