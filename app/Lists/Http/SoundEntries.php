<?php

declare(strict_types=1);

namespace App\Lists\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator as Validating;

/**
 * Checks what serves a line: an item, or a class with its minimum and maximum measures. Each error stands at its place.
 *
 * By hand, because a list may name thousands, and the framework's wildcard rules take longer over them than all the rest.
 */
final class SoundEntries implements ValidationRule, ValidatorAwareRule
{
    private const KEYS = ['item', 'class', 'minima', 'maxima'];

    private const MOST_LIMITS = 8;

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
            foreach (['minima', 'maxima'] as $limits) {
                $this->limits("{$attribute}.{$index}.{$limits}", $entry[$limits] ?? []);
            }
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

    private function limits(string $at, mixed $limits): void
    {
        if (! is_array($limits) || count($limits) > self::MOST_LIMITS) {
            $this->refuse($at, 'A class has at most '.self::MOST_LIMITS.' minimum and as many maximum measures.');

            return;
        }
        foreach ($limits as $index => $limit) {
            $isKnown = is_array($limit) && array_diff(array_keys($limit), ['measure', 'quantity']) === [];
            if (! $isKnown || ! is_string($limit['measure'] ?? null) || preg_match('/^[a-z][a-z_]{0,29}$/', $limit['measure']) !== 1) {
                $this->refuse("{$at}.{$index}.measure", 'A measure has a name in small letters, such as width, and a quantity.');
            } elseif (! is_string($limit['quantity'] ?? null) || $limit['quantity'] === '' || mb_strlen($limit['quantity']) > 40) {
                $this->refuse("{$at}.{$index}.quantity", 'Enter a number and a unit, such as 10 cm.');
            }
        }
    }

    private function refuse(string $path, string $message): void
    {
        $this->validator->errors()->add($path, $message);
    }
}
