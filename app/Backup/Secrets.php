<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/** The keys of an instance in its `.env`: what a record is verified and carried on with, and what second factors are encrypted by. */
final class Secrets
{
    /** The file in an encrypted backup. */
    public const FILE = 'secrets.json';

    private const NAMES = ['APP_KEY', 'LEDGER_KEYS', 'LEDGER_SIGNING_SEED'];

    /** @return array<string, string> by name; those that are there */
    public static function in(string $env): array
    {
        $found = [];
        foreach (self::NAMES as $name) {
            if (preg_match("/^{$name}=(.+)$/m", $env, $line) === 1) {
                $found[$name] = trim($line[1]);
            }
        }

        return $found;
    }

    /** @param  array<string, string>  $secrets */
    public static function put(string $env, array $secrets): string
    {
        foreach (self::NAMES as $name) {
            $env = (string) preg_replace("/^{$name}=.*\n?/m", '', $env);
        }
        foreach (self::NAMES as $name) {
            $secret = $secrets[$name] ?? throw new RuntimeException("The keys of this backup have no {$name}.");
            $env = rtrim($env, "\n").($env === '' ? '' : "\n")."{$name}={$secret}\n";
        }

        return $env;
    }

    /**
     * By which the keys of a backup are known without being told.
     *
     * @param  array<string, string>  $secrets
     */
    public static function known(array $secrets): string
    {
        ksort($secrets);

        return hash('sha256', 'sarcina.secrets-1'.json_encode($secrets, JSON_THROW_ON_ERROR));
    }
}
