<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/sarcina.log'), 'level' => 'warning', 'replace_placeholders' => true],
    ],
];
