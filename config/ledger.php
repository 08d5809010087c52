<?php

declare(strict_types=1);

// The record's keys, kept outside the database: see docs/security.md.
return [
    // name:base64 of 32 bytes, separated by commas; the first is used for what is recorded from now on.
    'keys' => (string) env('LEDGER_KEYS', ''),
    // base64 of 32 bytes: the pair that signs checkpoints is made from it.
    'signing_seed' => (string) env('LEDGER_SIGNING_SEED', ''),
    'checkpoints' => env('LEDGER_CHECKPOINTS', storage_path('../checkpoints')),
];
