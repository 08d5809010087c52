<?php

declare(strict_types=1);

namespace App\Support\Http;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page; its own router shows the rest. */
final class PageController
{
    public function __invoke(Request $request): View
    {
        return view('page', ['nonce' => $request->attributes->get('style_nonce')]);
    }
}
