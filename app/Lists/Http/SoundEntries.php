<?php

declare(strict_types=1);

namespace App\Lists\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator as Validating;

/**
 * What serves a line, as it is written: an item, or a class with its least measures; every key known and sound, each error at its place.
 *
 * By hand, because a list may name thousands, and the framework's wildcard rules take longer over them than all the rest.
 */
final class SoundEntries implements ValidationRule, ValidatorAwareRule
{
    private const KEYS = ['item', 'class', 'minima'];

    private const MOST_MINIMA = 8;

    private Validating $validator;

    public function setValidator(Validating $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (is_array($value) ? $value : [] as $index => $entry) {
            if (! is_array($entry)) {
                $this->refuse("{$attribute}.{$index}", 'What serves a line is an object.');

                continue;
            }
            foreach (array_diff(array_keys($entry), self::KEYS) as $key) {
                $this->refuse("{$attribute}.{$index}.{$key}", "The key \"{$attribute}.{$index}.{$key}\" is not known here.");
            }
            $this->itemOrClass("{$attribute}.{$index}", $entry);
            $this->minima("{$attribute}.{$index}.minima", $entry['minima'] ?? []);
        }
    }

    /** @param  array<array-key, mixed>  $entry */
    private function itemOrClass(string $at, array $entry): void
    {
        $given = array_filter(['item' => $entry['item'] ?? '', 'class' => $entry['class'] ?? ''], static fn (mixed $one): bool => $one !== '');
        foreach (['item' => 60, 'class' => 120] as $key => $most) {
            if (isset($given[$key]) && (! is_string($given[$key]) || mb_strlen($given[$key]) > $most)) {
                $this->refuse("{$at}.{$key}", "This must be text of 1 to {$most} characters.");
            }
        }
        match (count($given)) {
            0 => $this->refuse("{$at}.item", 'Choose an item, or write a class.'),
            2 => $this->refuse("{$at}.class", 'An item or a class serves a line, not both. Empty one of them.'),
            default => null,
        };
    }

    private function minima(string $at, mixed $minima): void
    {
        if (! is_array($minima) || count($minima) > self::MOST_MINIMA) {
            $this->refuse($at, 'A class has at most '.self::MOST_MINIMA.' least measures.');

            return;
        }
        foreach ($minima as $index => $least) {
            $isKnown = is_array($least) && array_diff(array_keys($least), ['measure', 'quantity']) === [];
            if (! $isKnown || ! is_string($least['measure'] ?? null) || preg_match('/^[a-z][a-z_]{0,29}$/', $least['measure']) !== 1) {
                $this->refuse("{$at}.{$index}.measure", 'A measure has a name in small letters, such as width, and a quantity.');
            } elseif (! is_string($least['quantity'] ?? null) || $least['quantity'] === '' || mb_strlen($least['quantity']) > 40) {
                $this->refuse("{$at}.{$index}.quantity", 'Enter a number and a unit, such as 10 cm.');
            }
        }
    }

    private function refuse(string $path, string $message): void
    {
        $this->validator->errors()->add($path, $message);
    }
}
