<?php

declare(strict_types=1);

return [
    // A log that cannot be written holds up nothing that is recorded.
    'default' => 'guarded',
    'channels' => [
        'guarded' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true],
        'single' => ['driver' => 'single', 'path' => storage_path('logs/sarcina.log'), 'level' => 'warning', 'replace_placeholders' => true, 'permission' => 0o600],
        'security' => ['driver' => 'stack', 'channels' => ['security-file'], 'ignore_exceptions' => true],
        'security-file' => [
            'driver' => 'daily', 'path' => storage_path('logs/security.log'), 'level' => 'info', 'days' => 90, 'permission' => 0o600,
        ],
    ],
];
