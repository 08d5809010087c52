<?php

declare(strict_types=1);

return [
    // Without a mail server, what would be sent is kept in a table and read on a page: the mail tray.
    'default' => env('MAIL_MAILER', 'tray'),
    'mailers' => [
        'tray' => ['transport' => 'tray'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => (int) env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 20,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM', 'sarcina@localhost'), 'name' => env('MAIL_FROM_NAME', 'Sarcina')],
];
