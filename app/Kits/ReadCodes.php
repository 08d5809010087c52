<?php

declare(strict_types=1);

namespace App\Kits;

use Illuminate\Support\Facades\DB;

/** Codes that follow the last one, and that no kit has or had. */
final class ReadCodes
{
    /**
     * @param  string  $like  a code whose letters they share; empty: the one that most kits share
     * @return list<string>
     */
    public function free(string $like, int $count): array
    {
        $taken = array_map(
            static fn (mixed $code): string => is_scalar($code) ? (string) $code : '',
            [...DB::table('kits')->pluck('code')->all(), ...DB::table('former_codes')->pluck('code')->all()],
        );
        $prefix = self::prefix($like) ?? self::commonest(array_values($taken));
        $highest = 0;
        $digits = 2;
        foreach ($taken as $code) {
            if (preg_match('/^'.preg_quote($prefix, '/').'(\d{1,6})$/D', $code, $number) === 1 && (int) $number[1] > $highest) {
                [$highest, $digits] = [(int) $number[1], strlen($number[1])];
            }
        }

        return array_map(
            static fn (int $more): string => $prefix.str_pad((string) ($highest + $more), $digits, '0', STR_PAD_LEFT),
            range(1, $count),
        );
    }

    private static function prefix(string $code): ?string
    {
        return $code === '' ? null : (string) preg_replace('/\d+$/D', '', $code);
    }

    /** @param  list<string>  $codes */
    private static function commonest(array $codes): string
    {
        $times = array_count_values(array_map(static fn (string $code): string => (string) self::prefix($code), array_filter(
            $codes, static fn (string $code): bool => preg_match('/\d$/D', $code) === 1,
        )));
        arsort($times);

        return (string) (array_key_first($times) ?? 'KIT-');
    }
}
