<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as FrameworkStartSession;

/** Nobody is led back to an address here, so none is kept: a session that is only read stays as it is. */
final class StartSession extends FrameworkStartSession
{
    /**
     * @param  \Illuminate\Contracts\Session\Session  $session
     */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
