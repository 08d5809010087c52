<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Http\JsonResponse;

final class OpenApiController extends Controller
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(Description::json(), 200, [], 0, true);
    }
}
