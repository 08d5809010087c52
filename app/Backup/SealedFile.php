<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/**
 * Encrypts and decrypts a file of any size in pieces (libsodium's secretstream, XChaCha20-Poly1305). A file does not open if a piece was
 * changed, removed, added or moved, or if its end is missing.
 */
final class SealedFile
{
    private const PIECE_BYTES = 1_048_576;

    /** @throws RuntimeException where a file cannot be read or written */
    public static function seal(string $from, string $to, string $key): void
    {
        [$in, $out] = [self::open($from, 'rb'), self::open($to, 'wb')];
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push($key);
        self::write($out, $header, $to);
        do {
            $piece = (string) stream_get_contents($in, self::PIECE_BYTES);
            $tag = feof($in) ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE;
            self::write($out, sodium_crypto_secretstream_xchacha20poly1305_push($state, $piece, '', $tag), $to);
        } while (! feof($in));
        fclose($in);
        fclose($out);
    }

    /** @throws RuntimeException where it was sealed with another key, or is not as it was */
    public static function unseal(string $from, string $to, string $key): void
    {
        [$in, $out] = [self::open($from, 'rb'), self::open($to, 'wb')];
        $header = (string) fread($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        $isEnded = false;
        if (strlen($header) === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, $key);
            while (! $isEnded && ! feof($in)) {
                $piece = (string) stream_get_contents($in, self::PIECE_BYTES + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
                $opened = sodium_crypto_secretstream_xchacha20poly1305_pull($state, $piece);
                if (! is_array($opened)) {
                    break;
                }
                self::write($out, $opened[0], $to);
                $isEnded = $opened[1] === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL;
            }
        }
        $isAll = fread($in, 1) === '' && feof($in);
        fclose($in);
        fclose($out);
        if (! $isEnded || ! $isAll) {
            unlink($to);
            throw new RuntimeException('The contents of this backup do not open: they were encrypted with another key, were changed, or are only '.
                'a part.');
        }
    }

    /** @return resource */
    private static function open(string $file, string $mode)
    {
        $open = @fopen($file, $mode);
        if ($open === false) {
            throw new RuntimeException("{$file} cannot be ".($mode === 'rb' ? 'read.' : 'written.'));
        }

        return $open;
    }

    /** @param  resource  $out */
    private static function write($out, string $bytes, string $file): void
    {
        if (fwrite($out, $bytes) !== strlen($bytes)) {
            throw new RuntimeException("{$file} cannot be written: the disk may be full.");
        }
    }
}
