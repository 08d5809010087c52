<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Http\Description;
use Illuminate\Console\Command;

final class OpenApiWrite extends Command
{
    protected $signature = 'openapi:write';

    protected $description = 'Writes resources/js/api/openapi.json, from which `npm run types` makes the page\'s types';

    public function handle(): int
    {
        file_put_contents(resource_path('js/api/openapi.json'), Description::json());

        return self::SUCCESS;
    }
}
