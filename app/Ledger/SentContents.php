<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Support\OtherContents;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * Tells a repeated request from other contents under the same id. A repeated request counts once. Other contents must be refused: an answer
 * of 200 would say that they are recorded. An empty field equals a missing one, so that pages before and after an upgrade send the same.
 */
final class SentContents
{
    /** Times and base are not compared: they say when something was done, not what. */
    private const BESIDES = ['begun_at', 'done_at', 'clock_checked_at', 'base'];

    /** Keeps a hash of the contents of this request, if there is a request. */
    public function keep(string $id): void
    {
        $hash = self::hash();
        if ($hash !== null) {
            DB::table('sent_contents')->insertOrIgnore(['id' => $id, 'hash' => $hash]);
        }
    }

    /** @throws OtherContents if other contents are recorded under this id */
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

        // Keyed: nobody can guess from the hash what somebody entered.
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
