<?php

declare(strict_types=1);

namespace Tests\Support;

/** Runs functions of bin/lib/instance.sh on an instance. */
final class OnInstance
{
    /** What the tests say of their own settings is not for the instance. */
    private const OWN = [
        'APP_ENV', 'CACHE_STORE', 'QUEUE_CONNECTION', 'SESSION_DRIVER', 'SIGN_IN_TRIES', 'HASH_MEMORY', 'HASH_TIME', 'DB_DATABASE', 'DB_USERNAME', 'DB_PORT',
        'DB_OWNER_PASSWORD', 'LEDGER_CHECKPOINTS', 'APP_CONFIG_CACHE', 'APP_ROUTES_CACHE', 'APP_EVENTS_CACHE',
    ];

    /** @return array<string, string> */
    public static function environment(): array
    {
        return array_diff_key(getenv(), array_flip(self::OWN));
    }

    /** @return array{int, list<string>} how it ended, and what it said */
    public static function run(string $instance, string ...$functions): array
    {
        exec(
            'env '.implode(' ', array_map(static fn (string $name): string => "-u {$name}", self::OWN)).' '
                .escapeshellarg(dirname(__DIR__, 2).'/bin/lib/on.sh').' '.escapeshellarg($instance).' '
                .implode(' ', array_map(escapeshellarg(...), $functions)).' 2>&1',
            $said,
            $exit,
        );

        return [$exit, array_values($said)];
    }
}
