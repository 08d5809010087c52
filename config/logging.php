<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/sarcina.log'), 'level' => 'warning', 'replace_placeholders' => true, 'permission' => 0o600],
        'security' => [
            'driver' => 'daily', 'path' => storage_path('logs/security.log'), 'level' => 'info', 'days' => 90, 'permission' => 0o600,
        ],
    ],
];
