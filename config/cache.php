<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        // Over a connection of its own: what is counted or said while something is written stands, also where that is undone.
        'database' => ['driver' => 'database', 'table' => 'cache', 'connection' => 'aside', 'lock_connection' => 'aside', 'lock_table' => 'cache_locks'],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'sarcina',
];
