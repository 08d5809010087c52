<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'shared'),
    'lifetime' => (int) env('SESSION_LIFETIME', 480),
    // However busy it is, after so many minutes one signs in again: seven days.
    'longest' => (int) env('SESSION_LONGEST', 10080),
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    'connection' => null,
    'lottery' => [2, 100],
    'cookie' => 'sarcina_session',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
