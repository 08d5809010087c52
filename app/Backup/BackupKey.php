<?php

declare(strict_types=1);

namespace App\Backup;

use JsonException;
use RuntimeException;
use SodiumException;

/**
 * The key pair of an instance's backups: to its public half the instance's keys are sealed without anybody there, and its secret half opens
 * only with the passphrase (Argon2id, XSalsa20-Poly1305 of libsodium). It is no secret as it lies there, and goes into each backup.
 */
final class BackupKey
{
    public const FORMAT = 'sarcina.backup-key-1';

    /** @param  array{format: string, public: string, salt: string, operations: int, memory: int, nonce: string, secret: string}  $document */
    private function __construct(private readonly array $document)
    {
    }

    public static function make(
        string $passphrase,
        int $operations = SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
        int $memory = SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
    ): self {
        $pair = sodium_crypto_box_keypair();
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $nonce = random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);
        $secret = sodium_crypto_secretbox(sodium_crypto_box_secretkey($pair), $nonce, self::stretched($passphrase, $salt, $operations, $memory));

        return new self([
            'format' => self::FORMAT, 'public' => base64_encode(sodium_crypto_box_publickey($pair)), 'salt' => base64_encode($salt),
            'operations' => $operations, 'memory' => $memory, 'nonce' => base64_encode($nonce), 'secret' => base64_encode($secret),
        ]);
    }

    /** @throws RuntimeException where the document is no key */
    public static function read(string $json): self
    {
        try {
            $document = json_decode($json, true, 4, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $document = null;
        }
        $isWhole = is_array($document) && ($document['format'] ?? null) === self::FORMAT && is_int($document['operations'] ?? null)
            && is_int($document['memory'] ?? null);
        foreach (['public', 'salt', 'nonce', 'secret'] as $part) {
            $isWhole = $isWhole && is_string($document[$part] ?? null) && base64_decode($document[$part], true) !== false;
        }
        if (! $isWhole) {
            throw new RuntimeException('This is not the key of a backup, or only a part of one.');
        }

        /** @var array{format: string, public: string, salt: string, operations: int, memory: int, nonce: string, secret: string} $document */
        return new self($document);
    }

    public function json(): string
    {
        return json_encode($this->document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return string base64: only this key's secret half opens it */
    public function seal(string $text): string
    {
        return base64_encode(sodium_crypto_box_seal($text, $this->part('public')));
    }

    /** @throws RuntimeException where the passphrase is another, or what is sealed was not sealed to this key */
    public function open(string $sealed, string $passphrase): string
    {
        try {
            return $this->opened($sealed, $passphrase);
        } catch (SodiumException) {
            throw new RuntimeException('The key of this backup was changed: its parts are not of the length that they have.');
        }
    }

    /** @throws SodiumException where a part has another length */
    private function opened(string $sealed, string $passphrase): string
    {
        $stretched = self::stretched($passphrase, $this->part('salt'), $this->document['operations'], $this->document['memory']);
        $secret = sodium_crypto_secretbox_open($this->part('secret'), $this->part('nonce'), $stretched);
        if ($secret === false) {
            throw new RuntimeException('This is not the passphrase of this backup.');
        }
        $pair = sodium_crypto_box_keypair_from_secretkey_and_publickey($secret, $this->part('public'));
        $text = sodium_crypto_box_seal_open((string) base64_decode($sealed, true), $pair);
        if ($text === false) {
            throw new RuntimeException('The keys in this backup were sealed to another key pair, or were changed.');
        }

        return $text;
    }

    private function part(string $name): string
    {
        $part = $this->document[$name];

        return (string) base64_decode((string) $part, true);
    }

    private static function stretched(string $passphrase, string $salt, int $operations, int $memory): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETBOX_KEYBYTES, $passphrase, $salt, $operations, $memory, SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }
}
