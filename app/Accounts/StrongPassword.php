<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** At least twelve characters, not one of those that everybody tries first, and not one's own name. */
final readonly class StrongPassword implements ValidationRule
{
    private const LEAST = 12;

    private const MOST = 200;

    private const DIFFERENT = 5;

    /** @param  list<string>  $own  the name, the address, the organisation: what is known of the person */
    public function __construct(private array $own = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $fault = is_string($value) ? $this->fault($value) : 'Choose a password.';
        if ($fault !== null) {
            $fail($fault);
        }
    }

    public function fault(string $password): ?string
    {
        $plain = self::plain($password);

        return match (true) {
            mb_strlen($password) < self::LEAST => 'A password has at least '.self::LEAST.' characters (this one has '.mb_strlen($password).
                '). Several words in a row are easy to remember.',
            mb_strlen($password) > self::MOST => 'A password has '.self::MOST.' characters at the most.',
            count(array_unique(mb_str_split($plain))) < self::DIFFERENT => 'It repeats a few characters. Choose one that is harder to guess.',
            self::isCommon($plain) => 'This password is on the list of common ones, which are tried first. Choose another.',
            $this->isOwn($plain) => 'This password is little more than a name or an address. Choose one that does not follow from them.',
            default => null,
        };
    }

    private function isOwn(string $plain): bool
    {
        $rest = $plain;
        foreach ($this->own as $text) {
            foreach (preg_split('/[^\p{L}\p{N}]+/u', self::plain($text)) ?: [] as $word) {
                $rest = mb_strlen($word) >= 3 ? str_replace($word, '', $rest) : $rest;
            }
        }

        return mb_strlen(preg_replace('/[^\p{L}]+/u', '', $rest) ?? '') < 4 && $rest !== $plain;
    }

    private static function isCommon(string $plain): bool
    {
        $letters = preg_replace('/[^\p{L}\p{N}]+/u', '', $plain) ?? $plain;
        $common = array_flip(file(resource_path('common-passwords.txt'), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []);

        // A common one with a few figures or signs at its end is as common.
        return isset($common[$plain]) || isset($common[$letters]) || isset($common[(string) preg_replace('/\d{1,4}$/D', '', $letters)]);
    }

    private static function plain(string $text): string
    {
        return mb_strtolower($text);
    }
}
