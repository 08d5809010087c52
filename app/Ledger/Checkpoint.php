<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;

/**
 * How far the record had come on a day, signed with the instance's own key: whoever holds one can show later whether
 * the record was computed anew, even by somebody who has the instance's keys for its hashes.
 */
final readonly class Checkpoint
{
    public const FORMAT = 'sarcina.checkpoint/1';

    private function __construct(
        public int $epoch,
        public int $number,
        public string $hash,
        public string $day,
        public string $publicKey,
        public string $signature,
    ) {
    }

    public static function of(Head $head, string $day, Keys $keys): self
    {
        return new self(
            $head->epoch,
            $head->number,
            $head->hash,
            $day,
            $keys->publicKey(),
            $keys->sign(self::signed($head->epoch, $head->number, $head->hash, $day)),
        );
    }

    /** @throws RuntimeException where it is no checkpoint, or was not signed by this instance */
    public static function read(string $json, Keys $keys): self
    {
        $document = json_decode($json, true);
        // A signed copy holds the checkpoint of its own operation.
        $document = is_array($document) && isset($document['checkpoint']) ? $document['checkpoint'] : $document;
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT) {
            throw new RuntimeException('This file is no checkpoint: it has no "format": "'.self::FORMAT.'".');
        }
        [$epoch, $number] = [$document['epoch'] ?? null, $document['number'] ?? null];
        $texts = array_map(static fn (string $key): string => is_string($document[$key] ?? null) ? $document[$key] : '', [
            'hash',
            'day',
            'public_key',
            'signature',
        ]);
        if (! is_int($epoch) || ! is_int($number) || in_array('', $texts, true)) {
            throw new RuntimeException('This checkpoint is not whole: epoch, number, hash, day, public_key and signature belong to it.');
        }
        [$hash, $day, $publicKey, $signature] = $texts;
        if (! $keys->isSignedHere(self::signed($epoch, $number, $hash, $day), $signature)) {
            throw new RuntimeException(
                "This checkpoint was not signed by this instance, or was changed since. Its public key is {$keys->publicKey()}.",
            );
        }

        return new self($epoch, $number, $hash, $day, $publicKey, $signature);
    }

    /** @return array<string, int|string> */
    public function document(): array
    {
        return [
            'format' => self::FORMAT, 'epoch' => $this->epoch, 'number' => $this->number, 'hash' => $this->hash,
            'day' => $this->day, 'public_key' => $this->publicKey, 'signature' => $this->signature,
        ];
    }

    private static function signed(int $epoch, int $number, string $hash, string $day): string
    {
        return self::FORMAT."\n".implode('', array_map(Canonical::field(...), [$epoch, $number, $hash, $day]));
    }
}
