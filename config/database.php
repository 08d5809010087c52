<?php

declare(strict_types=1);

use Illuminate\Support\Env;

$connection = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT'),
    'database' => env('DB_DATABASE', 'sarcina'),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'strict' => true,
    'engine' => 'InnoDB',
    'timezone' => '+00:00',
    // Prepared by the client: the server's own went on in autocommit after it had rolled a transaction back.
    'options' => [PDO::ATTR_EMULATE_PREPARES => true],
];

return [
    'default' => 'mariadb',
    'connections' => [
        // Who serves people: may neither change the tables nor what is kept in them (App\Ledger\Grants).
        'mariadb' => [...$connection, 'username' => env('DB_USERNAME', 'sarcina'), 'password' => env('DB_PASSWORD')],
        // The same person, apart from what is being written.
        'aside' => [...$connection, 'username' => env('DB_USERNAME', 'sarcina'), 'password' => env('DB_PASSWORD')],
        // Who makes and changes the tables. Its password is in the environment of those commands alone, never in the served application's settings.
        'owner' => [...$connection, 'username' => env('DB_OWNER', 'sarcina_owner'), 'password' => Env::get('DB_OWNER_PASSWORD')],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
