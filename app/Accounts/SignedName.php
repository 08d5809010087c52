<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use Illuminate\Validation\ValidationException;

/** By what name something is signed: the account's or its initials; who writes another says why, and the account stands beside it. */
final class SignedName
{
    /** @throws ValidationException where another name is written without a reason */
    public static function refuseUnexplained(User $by, string $signed, ?string $because): void
    {
        if (! self::isOf($by->name, $signed) && trim((string) $because) === '') {
            throw ValidationException::withMessages([
                'signed_because' => "You are signed in as {$by->name}. Sign with that name or its initials, or say why it is signed by another.",
            ]);
        }
    }

    /** Whether it is the name or its initials, however they are spaced or dotted. */
    public static function isOf(string $name, string $signed): bool
    {
        $plain = static fn (string $text): string => mb_strtolower((string) preg_replace('/[\s.]+/u', '', $text));
        $initials = implode('', array_map(
            static fn (string $part): string => mb_substr($part, 0, 1),
            preg_split('/[\s-]+/u', trim($name), -1, PREG_SPLIT_NO_EMPTY) ?: [],
        ));

        return in_array($plain($signed), [$plain($name), mb_strtolower($initials)], true);
    }
}
