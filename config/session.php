<?php

declare(strict_types=1);

return [
    'driver' => 'file',
    'lifetime' => (int) env('SESSION_LIFETIME', 480),
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'sarcina_session',
    'path' => '/',
    'domain' => null,
    'secure' => (bool) env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
