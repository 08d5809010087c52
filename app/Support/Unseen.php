<?php

declare(strict_types=1);

namespace App\Support;

/** Characters that cannot be seen, or that turn the direction of a text: by them a name or a lot could read otherwise than it is. */
final class Unseen
{
    /** All control characters but a tab and the end of a line; marks, embeddings, overrides and isolates of direction; other ends of lines. */
    private const PATTERN = '/[\x{0}-\x{8}\x{B}\x{C}\x{E}-\x{1F}\x{7F}-\x{9F}\x{61C}\x{200E}\x{200F}\x{2028}-\x{202E}\x{2066}-\x{2069}]/u';

    public static function isIn(string $text): bool
    {
        return preg_match(self::PATTERN, $text) === 1;
    }
}
