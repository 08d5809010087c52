<?php

declare(strict_types=1);

namespace App\Backup;

use JsonException;
use RuntimeException;

/**
 * Authenticates and encrypts the backups of an instance. The key is derived from a passphrase (Argon2id) and kept on the machine, so that
 * backups and drills need no person. A backup holds only salt and cost: file and passphrase give the key back.
 */
final readonly class BackupKey
{
    public const FORMAT = 'sarcina.backup-key-2';

    private const CONTEXT = 'sarcinab';

    /** A forged backup must not cost minutes of work or all the memory. */
    private const MOST_OPERATIONS = 20;

    private const MOST_MEMORY = 1_073_741_824;

    /** The least that libsodium accepts, in bytes. */
    private const LEAST_MEMORY = 8192;

    /**
     * @param  string  $salt  16 bytes
     * @param  int  $memory  bytes
     * @param  string  $key  32 bytes
     */
    private function __construct(private string $salt, private int $operations, private int $memory, private string $key)
    {
    }

    public static function make(
        string $passphrase,
        int $operations = SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
        int $memory = SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
    ): self {
        return self::stretched($passphrase, random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES), $operations, $memory);
    }

    /**
     * Reads the key that is kept on the machine.
     *
     * @throws RuntimeException where the document is no key
     */
    public static function read(string $json): self
    {
        try {
            $document = json_decode($json, true, 4, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $document = null;
        }
        [$salt, $operations, $memory] = self::stretchedWith($document);
        $key = base64_decode(is_string($document['key'] ?? null) ? $document['key'] : '', true);
        if (($document['format'] ?? null) !== self::FORMAT || $key === false || strlen($key) !== SODIUM_CRYPTO_KDF_KEYBYTES) {
            throw new RuntimeException('This is not the key of backups, or only a part of one.');
        }

        return new self($salt, $operations, $memory, $key);
    }

    /**
     * Derives the key again from the passphrase and from the salt and cost in a backup.
     *
     * @param  mixed  $stretch  `salt`, `operations`, `memory`, as `stretch` gives them
     *
     * @throws RuntimeException where they are not given, or ask for too much
     */
    public static function recover(string $passphrase, mixed $stretch): self
    {
        return self::stretched($passphrase, ...self::stretchedWith($stretch));
    }

    /** @return array{salt: string, operations: int, memory: int} salt and cost, which are no secret */
    public function stretch(): array
    {
        return ['salt' => base64_encode($this->salt), 'operations' => $this->operations, 'memory' => $this->memory];
    }

    /** @return string the document that is kept on the machine */
    public function json(): string
    {
        $document = ['format' => self::FORMAT, ...$this->stretch(), 'key' => base64_encode($this->key)];

        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return string sixteen hexadecimal digits in groups of four, to compare with the written note */
    public function fingerprint(): string
    {
        return implode(' ', str_split(substr(bin2hex(sodium_crypto_kdf_derive_from_key(32, 3, self::CONTEXT, $this->key)), 0, 16), 4));
    }

    /** @return string the HMAC (SHA-256) of a text, in hexadecimal digits */
    public function authenticate(string $text): string
    {
        return hash_hmac('sha256', $text, sodium_crypto_kdf_derive_from_key(32, 1, self::CONTEXT, $this->key));
    }

    /** @return string 32 bytes, for the contents of backups (see SealedFile) */
    public function forContents(): string
    {
        return sodium_crypto_kdf_derive_from_key(SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES, 2, self::CONTEXT, $this->key);
    }

    private static function stretched(string $passphrase, string $salt, int $operations, int $memory): self
    {
        $key = sodium_crypto_pwhash(SODIUM_CRYPTO_KDF_KEYBYTES, $passphrase, $salt, $operations, $memory, SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13);

        return new self($salt, $operations, $memory, $key);
    }

    /**
     * @return array{string, int, int} salt, operations, bytes of memory
     *
     * @throws RuntimeException
     */
    private static function stretchedWith(mixed $document): array
    {
        $document = is_array($document) ? $document : [];
        $salt = base64_decode(is_string($document['salt'] ?? null) ? $document['salt'] : '', true);
        [$operations, $memory] = [$document['operations'] ?? null, $document['memory'] ?? null];
        if ($salt === false || strlen($salt) !== SODIUM_CRYPTO_PWHASH_SALTBYTES || ! is_int($operations) || ! is_int($memory)
            || $operations < 1 || $operations > self::MOST_OPERATIONS
            || $memory < self::LEAST_MEMORY || $memory > self::MOST_MEMORY) {
            throw new RuntimeException('This is not the key of backups, or only a part of one: it was changed.');
        }

        return [$salt, $operations, $memory];
    }
}
