<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\DeviceKeys;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class DeviceKeyController extends Controller
{
    #[OA\Put(path: '/device-keys/{device}', operationId: 'readDeviceKey', tags: ['session'])]
    #[OA\Parameter(name: 'device', in: 'path', required: true, description: 'a ULID that the device made', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'The key of who is signed in for this device, made where there is none yet',
        content: new OA\JsonContent(ref: DeviceKeyResource::class),
    )]
    public function __invoke(Request $request, string $device, DeviceKeys $keys): JsonResponse
    {
        abort_unless(Str::isUlid($device), 404);

        return $this->json(new DeviceKeyResource($keys->of($this->user($request), Str::lower($device))))->header('Cache-Control', 'no-store');
    }
}
