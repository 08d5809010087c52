<?php

declare(strict_types=1);

namespace App\Cope\Http;

use App\Cope\ReadCoping;
use App\Cope\ReadEmergencies;
use App\Cope\WriteEmergency;
use App\Designs\Models\Design;
use App\Kits\Models\Kit;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

/** For how many casualties supplies suffice, and what that is counted by. */
final class CopingController extends Controller
{
    #[OA\Get(path: '/kits/{kit}/coping', operationId: 'readCopingOfKit', tags: ['coping'], description: 'As it stands.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'together', in: 'query', required: false, description: 'codes of two kinds at once, with a comma between',
        schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Kind by kind', content: new OA\JsonContent(ref: CopingResource::class))]
    public function ofKit(Request $request, Kit $kit, ReadCoping $read): JsonResponse
    {
        return $this->json($read->ofKit($kit, $this->today(), self::together($request)));
    }

    #[OA\Get(path: '/designs/{design}/coping', operationId: 'readCopingOfDesign', tags: ['coping'], description: 'As it is planned.')]
    #[OA\Parameter(name: 'design', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'scope', in: 'query', required: false, description: 'of those who will have it; anyone where it is left out',
        schema: new OA\Schema(type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']))]
    #[OA\Parameter(name: 'together', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Kind by kind', content: new OA\JsonContent(ref: CopingResource::class))]
    public function ofDesign(Request $request, Design $design, ReadCoping $read): JsonResponse
    {
        $request->validate(['scope' => [Rule::enum(Scope::class)]]);
        $edition = $design->latest ?? abort(404);
        $scope = $request->enum('scope', Scope::class) ?? Scope::Anyone;

        return $this->json($read->ofDesign($edition, $design->name, $scope, $this->today(), self::together($request)));
    }

    #[OA\Get(path: '/emergencies', operationId: 'readEmergencies', tags: ['coping'])]
    #[OA\Response(response: 200, description: 'What is counted with', content: new OA\JsonContent(
        type: 'array', items: new OA\Items(ref: EmergencyResource::class),
    ))]
    public function all(ReadEmergencies $read): JsonResponse
    {
        return $this->json($read());
    }

    #[OA\Put(path: '/emergencies/{code}', operationId: 'keepEmergency', tags: ['coping'], description: 'What was changed is no longer confirmed.')]
    #[OA\Parameter(name: 'code', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: WrittenEmergency::class))]
    #[OA\Response(response: 200, description: 'What is counted with', content: new OA\JsonContent(
        type: 'array', items: new OA\Items(ref: EmergencyResource::class),
    ))]
    #[OA\Response(response: 409, description: 'Somebody else changed it in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function keep(WrittenEmergency $request, string $code, WriteEmergency $write, ReadEmergencies $read): JsonResponse
    {
        $write->keep($code, (int) $request->validated('base'), $request->content());

        return $this->json($read());
    }

    #[OA\Put(path: '/emergencies/{code}/confirmation', operationId: 'confirmEmergency', tags: ['coping'])]
    #[OA\Parameter(name: 'code', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base'], properties: [
        new OA\Property(property: 'base', type: 'integer', description: 'the revision that was compared'),
    ]))]
    #[OA\Response(response: 200, description: 'What is counted with', content: new OA\JsonContent(
        type: 'array', items: new OA\Items(ref: EmergencyResource::class),
    ))]
    #[OA\Response(response: 409, description: 'Somebody else changed it in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function confirm(Request $request, string $code, WriteEmergency $write, ReadEmergencies $read): JsonResponse
    {
        /** @var array{base: int} $valid */
        $valid = $request->validate(['base' => ['required', 'integer:strict', 'min:1']]);
        $write->confirm($code, $valid['base'], $this->user($request), now());

        return $this->json($read());
    }

    /** @return list<string> */
    private static function together(Request $request): array
    {
        $request->validate(['together' => ['string', 'max:200']]);

        return array_values(array_unique(array_filter(explode(',', $request->string('together')->value()))));
    }
}
