<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Kits\ChangeKit;
use App\Kits\EquipKit;
use App\Kits\FormerCodes;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Kits\ReadCodes;
use App\Kits\ReadKit;
use App\Kits\RetireKit;
use App\Support\Http\Controller;
use App\Support\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Kits as a lead keeps them: several at once, what they are called and where they are, and their end. */
final class KitRecordController extends Controller
{
    #[OA\Get(path: '/choices/codes', operationId: 'readFreeCodes', tags: ['kits'])]
    #[OA\Parameter(name: 'count', in: 'query', required: false, schema: new OA\Schema(type: 'integer', minimum: 1, maximum: 20))]
    #[OA\Parameter(name: 'like', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'Codes that follow the last one, and that no kit has or had',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'string')),
    )]
    public function codes(Request $request, ReadCodes $codes): JsonResponse
    {
        /** @var array{count?: int|string, like?: string|null} $query */
        $query = $request->validate(['count' => ['integer', 'min:1', 'max:20'], 'like' => ['nullable', 'string', 'max:20']]);

        return new JsonResponse($codes->free(mb_strtoupper($query['like'] ?? ''), (int) ($query['count'] ?? 1)));
    }

    #[OA\Post(path: '/kits/several', operationId: 'equipKits', tags: ['kits'], description: 'Makes up to twenty kits of one design, all or none.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewKits::class))]
    #[OA\Response(
        response: 201,
        description: 'Their codes',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'string')),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function several(NewKits $request, EquipKit $equip): JsonResponse
    {
        $by = $this->user($request);
        $codes = Transaction::run(function () use ($request, $equip, $by): array {
            $new = array_values(array_filter(
                $request->reports(),
                static fn ($report): bool => ! Kit::query()->where('id', $report->id)->exists(),
            ));
            FormerCodes::refuseTaken(array_map(static fn ($report): string => $report->code, $new));

            return array_map(fn ($report): string => $equip($report, $by, now(), $this->today())->code, $request->reports());
        });

        return new JsonResponse($codes, 201);
    }

    #[OA\Put(path: '/kits/{kit}', operationId: 'changeKit', tags: ['kits'], description: 'Its code, name, place, and who may use what is in it.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ChangedKit::class))]
    #[OA\Response(response: 200, description: 'The kit, judged again', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function change(ChangedKit $request, Kit $kit, ChangeKit $change, ReadKit $describe): JsonResponse
    {
        $by = $this->user($request);
        Transaction::run(function () use ($request, $kit, $change, $by): void {
            $place = Place::query()->findOrFail(Str::lower($request->string('place_id')->value()));
            $change->describe(
                $kit, $request->string('code')->value(), $request->string('name')->trim()->value(), $request->string('scope')->value(),
                $by, now(), $this->today(),
            );
            if ($place->id !== $kit->place_id) {
                $change->move($kit, $place, $by, now(), $this->today());
            }
        });

        return $this->json($describe($kit->refresh(), $this->today()));
    }

    #[OA\Put(
        path: '/kits/{kit}/retirement',
        operationId: 'retireKit',
        tags: ['kits'],
        description: 'Takes it out of service. Unless it is said otherwise, good pieces go to the store and others are disposed of.',
    )]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: RetiredKit::class))]
    #[OA\Response(response: 200, description: 'The kit', content: new OA\JsonContent(ref: KitResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function retire(RetiredKit $request, Kit $kit, RetireKit $retire, ReadKit $describe): JsonResponse
    {
        $retire($kit, $request->string('reason')->trim()->value(), $request->where(), $this->user($request), now(), $this->today());

        return $this->json($describe($kit->refresh(), $this->today()));
    }
}
