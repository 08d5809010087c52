<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\SetupCode;
use App\Accounts\SetUpOrganisation;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Where an organisation begins. Once there is one, nothing is here any more. */
final class SetupController extends Controller
{
    #[OA\Get(path: '/setup', operationId: 'readSetup', tags: ['setup'])]
    #[OA\Response(response: 200, description: 'It waits to be set up', content: new OA\JsonContent(ref: SetupState::class))]
    #[OA\Response(response: 404, description: 'It is set up')]
    public function show(): JsonResponse
    {
        abort_unless(SetupCode::isOpen(), 404);

        return $this->json(new SetupState(timezone_identifiers_list()));
    }

    #[OA\Post(path: '/setup', operationId: 'setUp', tags: ['setup'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SetUp::class))]
    #[OA\Response(response: 201, description: 'The organisation and its first lead are there')]
    #[OA\Response(response: 404, description: 'It is set up')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(SetUp $request, SetupCode $code, SetUpOrganisation $setUp): JsonResponse
    {
        abort_unless(SetupCode::isOpen(), 404);
        if (! $code->accepts($request->string('code')->value(), now())) {
            throw ValidationException::withMessages([
                'code' => 'This is not the code, or it is older than 24 hours. Start Sarcina again on its machine: it prints a new one.',
            ]);
        }
        /** @var array<string, string|int> $columns */
        $columns = array_intersect_key(
            $request->validated(), array_flip(['time_zone', 'currency', 'length_unit', 'mass_unit', 'volume_unit', 'people_kept_days']),
        );
        $setUp(
            ['name' => $request->string('organisation')->trim()->value(), ...$columns], $request->string('name')->trim()->value(),
            Str::lower($request->string('email')->trim()->value()), $request->string('password')->value(), $request->boolean('with_catalogue'),
        );

        return new JsonResponse(null, 201);
    }
}
