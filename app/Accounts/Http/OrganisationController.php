<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\Organisation;
use App\Judging\KitStates;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** How measures and money are shown, and how long records about people are kept. */
final class OrganisationController extends Controller
{
    #[OA\Get(path: '/organisation', operationId: 'readOrganisation', tags: ['organisation'])]
    #[
        OA\Response(
            response: 200,
            description: 'Units, currency and how long records about people are kept',
            content: new OA\JsonContent(ref: OrganisationResource::class),
        ),
    ]
    public function show(Organisation $organisation): JsonResponse
    {
        return $this->json(self::resource($organisation));
    }

    #[OA\Put(path: '/organisation', operationId: 'changeOrganisation', tags: ['organisation'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: OrganisationSettings::class))]
    #[OA\Response(response: 200, description: 'As it is now', content: new OA\JsonContent(ref: OrganisationResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function change(OrganisationSettings $request, Organisation $organisation, KitStates $states): JsonResponse
    {
        $organisation->fill($request->validated());
        // What day it is follows the zone, and what is found the policy: what was judged is judged again.
        $isJudgedAgain = $organisation->isDirty(['time_zone', 'asks_staging']);
        $organisation->save();
        $isJudgedAgain ? $states->mark() : null;

        return $this->json(self::resource($organisation));
    }

    private static function resource(Organisation $organisation): OrganisationResource
    {
        return new OrganisationResource(
            $organisation->name,
            $organisation->time_zone,
            $organisation->length_unit,
            $organisation->mass_unit,
            $organisation->volume_unit,
            $organisation->currency,
            (int) $organisation->people_kept_days,
            $organisation->factor_required,
            $organisation->asks_staging,
            (int) DB::table('item_packs')->whereNotNull('price')->distinct()->count('item_id'),
            DB::table('receipts')->whereNotNull('price')->count(),
            DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')->count(),
        );
    }
}
