<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Checks\Shortfalls;
use App\Kits\Models\Kit;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Where did it go? */
final class ShortfallController extends Controller
{
    #[OA\Get(path: '/kits/{kit}/shortfalls', operationId: 'readShortfalls', tags: ['checks'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What was not found', content: new OA\JsonContent(ref: ShortfallsResource::class))]
    public function all(Kit $kit, Shortfalls $shortfalls): JsonResponse
    {
        return $this->json($shortfalls->of($kit));
    }

    #[OA\Put(path: '/kits/{kit}/shortfalls/{shortfall}', operationId: 'answerShortfall', tags: ['checks'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'shortfall', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['why'], properties: [
        new OA\Property(property: 'why', type: 'string', enum: ['used', 'moved', 'lost', 'miscounted', 'unknown']),
    ]))]
    #[OA\Response(response: 200, description: 'What was not found', content: new OA\JsonContent(ref: ShortfallsResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function answer(Request $request, Kit $kit, int $shortfall, Shortfalls $shortfalls): JsonResponse
    {
        $request->validate(
            ['why' => ['required', Rule::in(['used', 'moved', 'lost', 'miscounted', 'unknown'])]], ['why.*' => 'Choose one of the answers.'],
        );
        abort_unless(DB::table('shortfalls')->where('id', $shortfall)->where('kit_id', $kit->id)->exists(), 404);
        $shortfalls->answer($shortfall, $request->string('why')->value());

        return $this->json($shortfalls->of($kit));
    }
}
