<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

abstract class Controller
{
    /** What day it is where the kits are. */
    protected function today(): string
    {
        return app(Organisation::class)->today();
    }

    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new \LogicException('This route is only for who is signed in.');
    }

    /** @param  object|list<object>  $resource */
    protected function json(object|array $resource, int $status = 200): JsonResponse
    {
        return new JsonResponse($resource, $status, [], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
