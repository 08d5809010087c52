<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\DeviceKeys;
use App\Accounts\Models\User;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class DeviceKeyController extends Controller
{
    #[OA\Put(
        path: '/device-keys/{device}/of/{user}',
        operationId: 'readEndedDeviceKey',
        tags: ['session'],
        description: 'The key of somebody whose account has ended, so that a lead sends what they signed and did not send.',
    )]
    #[OA\Parameter(name: 'device', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'user', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Their key for this device', content: new OA\JsonContent(ref: DeviceKeyResource::class))]
    #[OA\Response(response: 422, description: 'Their account has not ended')]
    public function ofEnded(string $device, User $user, DeviceKeys $keys): JsonResponse
    {
        abort_unless(Str::isUlid($device), 404);
        if ($user->isActive()) {
            abort(422, "{$user->name} has an account: what they did not send is sent when they sign in on this device.");
        }

        return $this->json(new DeviceKeyResource($keys->of($user, Str::lower($device))))->header('Cache-Control', 'no-store');
    }

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
