<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Support\DatabaseTrouble;
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
            $why = DatabaseTrouble::isDiskFull() ? 'the disk is full' : 'the database does not answer';

            return new JsonResponse(['status' => $why], 503, ['Cache-Control' => 'no-store', 'Retry-After' => '5']);
        }

        return new JsonResponse(['status' => 'up'], 200, ['Cache-Control' => 'no-store']);
    }
}
