<?php

declare(strict_types=1);

namespace App\Accounts;

/** Codes that change every thirty seconds (RFC 6238, HMAC-SHA-1, six digits), from a secret that an authenticator app holds too. */
final class Totp
{
    private const SECONDS = 30;

    /** A clock may be one step early or late. */
    private const TOLERANCE = 1;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @return string twenty random bytes in Base32 (RFC 4648) */
    public static function newSecret(): string
    {
        return self::encode(random_bytes(20));
    }

    public static function code(string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::decode($secret), true);
        $at = ord($hash[19]) & 0x0F;
        /** @var array{1: int} $word */
        $word = unpack('N', substr($hash, $at, 4));

        return str_pad((string) (($word[1] & 0x7FFFFFFF) % 1_000_000), 6, '0', STR_PAD_LEFT);
    }

    /** @return int|null the step of a code that is good now and later than the one used last; null where it is none */
    public static function stepOf(string $secret, string $code, int $now, ?int $usedStep): ?int
    {
        $current = intdiv($now, self::SECONDS);
        $found = null;
        for ($step = $current - self::TOLERANCE; $step <= $current + self::TOLERANCE; $step++) {
            // All are compared, so that it takes as long whichever fits.
            if (hash_equals(self::code($secret, $step), $code) && ($usedStep === null || $step > $usedStep)) {
                $found = $step;
            }
        }

        return $found;
    }

    /** What an authenticator app reads from the square code. */
    public static function address(string $secret, string $account, string $issuer): string
    {
        return 'otpauth://totp/'.rawurlencode("{$issuer}:{$account}").'?'.http_build_query(['secret' => $secret, 'issuer' => $issuer], '', '&',
            PHP_QUERY_RFC3986);
    }

    public static function encode(string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            static fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))],
            str_split($bits, 5),
        ));
    }

    public static function decode(string $text): string
    {
        $bits = '';
        foreach (str_split($text) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            static fn (string $eight): string => chr((int) bindec($eight)),
            str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8),
        ));
    }
}
