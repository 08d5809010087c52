<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;

/**
 * The keys of this instance, kept outside the database: those under which hashes are made, each with the name that rows give it,
 * so that a new one can follow an old one; and the pair that signs checkpoints.
 */
final class Keys
{
    /** @var array<string, string> by name */
    private array $keys = [];

    private readonly string $pair;

    /**
     * @param  string  $keys  name:base64, separated by commas, the present one first
     * @param  string  $seed  base64 of 32 bytes, from which the signing pair is made
     */
    public function __construct(string $keys, string $seed)
    {
        foreach (array_filter(explode(',', $keys)) as $key) {
            [$name, $secret] = [...explode(':', $key, 2), ''];
            $bytes = base64_decode($secret, true);
            if ($bytes === false || strlen($bytes) < 32) {
                throw new RuntimeException("The record's key \"{$name}\" (LEDGER_KEYS) is not 32 bytes in base64.");
            }
            $this->keys[$name] = $bytes;
        }
        $bytes = base64_decode($seed, true);
        if ($this->keys === [] || $bytes === false || strlen($bytes) !== SODIUM_CRYPTO_SIGN_SEEDBYTES) {
            throw new RuntimeException(
                'This instance has no keys for its record: LEDGER_KEYS or LEDGER_SIGNING_SEED is missing. bin/sarcina start makes them.',
            );
        }
        $this->pair = sodium_crypto_sign_seed_keypair($bytes);
    }

    /** The name of the key under which new operations are hashed. */
    public function current(): string
    {
        return (string) array_key_first($this->keys);
    }

    /** @return string|null 64 hexadecimal digits; null where the instance does not have that key */
    public function hash(string $keyId, string $text): ?string
    {
        return isset($this->keys[$keyId]) ? hash_hmac('sha256', $text, $this->keys[$keyId]) : null;
    }

    /** @return string base64 */
    public function sign(string $text): string
    {
        return base64_encode(sodium_crypto_sign_detached($text, sodium_crypto_sign_secretkey($this->pair)));
    }

    public function isSignedHere(string $text, string $signature): bool
    {
        $bytes = base64_decode($signature, true);

        return $bytes !== false &&
            strlen($bytes) === SODIUM_CRYPTO_SIGN_BYTES &&
            sodium_crypto_sign_verify_detached($bytes, $text, sodium_crypto_sign_publickey($this->pair));
    }

    /** @return string base64; printed on every signed copy */
    public function publicKey(): string
    {
        return base64_encode(sodium_crypto_sign_publickey($this->pair));
    }
}
