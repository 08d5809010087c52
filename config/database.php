<?php

declare(strict_types=1);

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => '127.0.0.1',
            'port' => env('DB_PORT'),
            'database' => env('DB_DATABASE', 'sarcina'),
            'username' => 'sarcina',
            'password' => env('DB_PASSWORD'),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'strict' => true,
            'engine' => 'InnoDB',
            'timezone' => '+00:00',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
