<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Accounts\Role;
use App\Backup\BackupWatch;
use App\Support\Http\Controller;
use App\Support\SarcinaFolder;
use App\Today\ReadToday;
use App\Today\Whose;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

final class TodayController extends Controller
{
    #[OA\Get(path: '/today', operationId: 'readToday', tags: ['today'])]
    #[OA\Parameter(name: 'page', in: 'query', required: false, schema: new OA\Schema(type: 'integer', minimum: 1))]
    #[OA\Parameter(
        name: 'whose',
        in: 'query',
        required: false,
        description: 'all; mine: that one answers for or was given work on; nobody: that have no responsible person',
        schema: new OA\Schema(type: 'string', enum: ['all', 'mine', 'nobody']),
    )]
    #[OA\Response(response: 200, description: 'The worklist and the horizon', content: new OA\JsonContent(ref: TodayResource::class))]
    public function __invoke(Request $request, ReadToday $today): JsonResponse
    {
        /** @var array{page?: int|string, whose?: string} $query */
        $query = $request->validate(['page' => ['integer', 'min:1', 'max:100000'], 'whose' => [Rule::in(['all', 'mine', 'nobody'])]]);

        $whose = Whose::of($query['whose'] ?? 'all', $this->user($request));

        $backup = $this->user($request)->role === Role::Lead ? (new BackupWatch(SarcinaFolder::path()))->trouble(now()) : null;

        return $this->json($today($this->today(), (int) ($query['page'] ?? 1), $whose, $backup));
    }
}
