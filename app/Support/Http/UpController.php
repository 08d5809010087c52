<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether Sarcina answers, and its database with it: for who watches over it. It says nothing else. */
final class UpController
{
    public function __invoke(): JsonResponse
    {
        try {
            DB::select('SELECT 1');
        } catch (Throwable) {
            return new JsonResponse(['status' => 'the database does not answer'], 503, ['Cache-Control' => 'no-store', 'Retry-After' => '5']);
        }

        return new JsonResponse(['status' => 'up'], 200, ['Cache-Control' => 'no-store']);
    }
}
