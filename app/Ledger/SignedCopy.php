<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/**
 * One operation with all that belongs to it, as it is on record, and a checkpoint that the instance signed for it. Whoever holds it
 * can give it to `ledger:verify --checkpoint` later, and can verify the signature by themselves with the public key.
 */
final class SignedCopy
{
    public const FORMAT = 'sarcina.record/1';

    /** @return array<string, mixed> */
    public static function of(int $number, string $day, Keys $keys): array
    {
        $row = (array) DB::table('operations')->where('number', $number)->first();
        $parts = [];
        foreach (Part::cases() as $part) {
            $rows = DB::table($part->value)
                ->where('operation_number', $number)
                ->orderBy('position')
                ->get($part->columns())
                ->map(static fn (object $one): array => (array) $one)
                ->all();
            if ($rows !== []) {
                $parts[$part->value] = $rows;
            }
        }
        $head = new Head((int) $row['epoch'], $number, (string) $row['hash']);

        return ['format' => self::FORMAT, 'operation' => $row, 'parts' => $parts, 'checkpoint' => Checkpoint::of($head, $day, $keys)->document()];
    }
}
