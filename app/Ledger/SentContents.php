<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Support\OtherContents;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * Tells the same request, sent twice, from other contents under the same id: the first counts once, the second would seem to be recorded
 * and is not. Fields that are empty or missing are alike, so that a page from before an upgrade and one from after it send the same.
 */
final class SentContents
{
    /** When it was done, and what was seen before it, is no part of what was done. */
    private const BESIDES = ['begun_at', 'done_at', 'clock_checked_at', 'base'];

    /** Keeps by what the contents of this request are known; nothing where no request is being answered. */
    public function keep(string $id): void
    {
        $hash = self::hash();
        if ($hash !== null) {
            DB::table('sent_contents')->insertOrIgnore(['id' => $id, 'hash' => $hash]);
        }
    }

    /** @throws OtherContents where something else was recorded under this id */
    public function refuseOthers(string $id): void
    {
        $kept = DB::table('sent_contents')->where('id', $id)->value('hash');
        $hash = self::hash();
        if ($kept !== null && $hash !== null && $kept !== $hash) {
            throw new OtherContents;
        }
    }

    private static function hash(): ?string
    {
        $request = app()->bound('request') ? app('request') : null;
        if (! $request instanceof Request || $request->route() === null || ! $request->isJson()) {
            return null;
        }

        $contents = array_diff_key($request->json()->all(), array_flip(self::BESIDES));

        // By a key: what somebody entered cannot be guessed from it.
        return hash_hmac('sha256', json_encode(self::plain($contents), JSON_THROW_ON_ERROR), config()->string('app.key'));
    }

    private static function plain(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        $plain = array_map(self::plain(...), $value);
        if (array_is_list($value)) {
            return $plain;
        }
        ksort($plain);

        return array_filter($plain, static fn (mixed $one): bool => $one !== null && $one !== '' && $one !== []);
    }
}
