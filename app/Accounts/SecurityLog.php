<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use Illuminate\Support\Facades\Log;

/** Who came in, who was refused, who took files out, whose role was changed: a line each, without what was entered. Kept for 90 days. */
final class SecurityLog
{
    /** @param  array<string, string|int>  $about */
    public function write(string $what, ?User $who, array $about = []): void
    {
        Log::channel('security')->info($what, array_filter([
            'by' => $who?->id, 'role' => $who?->role->value,
            ...array_map(static fn (string|int $one): string => mb_substr((string) preg_replace('/[^\PC ]/u', '?', (string) $one), 0, 190), $about),
        ], static fn (?string $one): bool => $one !== null));
    }
}
