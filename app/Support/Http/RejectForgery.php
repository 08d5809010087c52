<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** The page reads its token from the session document, so no cookie that scripts can read is needed. */
final class RejectForgery extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
