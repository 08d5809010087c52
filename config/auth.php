<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    // Tries to sign in with one address in a minute.
    'tries_per_minute' => (int) env('SIGN_IN_TRIES', 6),
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Accounts\Models\User::class]],
];
