<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'shared'),
    'lifetime' => (int) env('SESSION_LIFETIME', 480),
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
