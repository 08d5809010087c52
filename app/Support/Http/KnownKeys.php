<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Checks\Http\SoundRows;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** Refuses keys that no rule names, so that a misspelt one is never passed over. */
trait KnownKeys
{
    /** So many are named; who sends more has sent something else. */
    private const NAMED = 20;

    /** How many there are is asked before any of them is looked at. */
    protected function prepareForValidation(): void
    {
        foreach ($this->rules() as $field => $rules) {
            $sent = str_contains((string) $field, '.') ? null : $this->json($field);
            foreach (is_array($sent) && is_array($rules) && in_array('array', $rules, true) ? $rules : [] as $rule) {
                if (is_string($rule) && preg_match('/^max:(\d+)$/', $rule, $most) === 1 && count($sent) > (int) $most[1]) {
                    throw ValidationException::withMessages([
                        $field => $this->messages()["{$field}.max"] ?? $this->messages()["{$field}.*"]
                            ?? "At most {$most[1]} are sent at once, and these are ".count($sent).'. Send fewer.',
                    ]);
                }
            }
        }
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $known = array_keys($this->rules());
            $named = 0;
            // Counted rows are many, and look after their own keys (SoundRows).
            foreach (self::paths(array_diff_key($this->json()->all(), ['rows' => 0])) as $path) {
                $pattern = preg_replace('/(^|\.)\d+(?=\.|$)/', '$1*', $path);
                $isKnown = array_filter($known, static fn (string $rule): bool => $rule === $pattern || Str::startsWith($rule, $pattern.'.'));
                if ($isKnown === []) {
                    $validator->errors()->add($path, "The key \"{$path}\" is not known here.");
                    if (++$named === self::NAMED) {
                        return;
                    }
                }
            }
        }];
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return list<string>
     */
    private static function paths(array $values, string $before = ''): array
    {
        $paths = [];
        foreach ($values as $key => $value) {
            $paths[] = $before.$key;
            if (is_array($value)) {
                array_push($paths, ...self::paths($value, "{$before}{$key}."));
            }
        }

        return $paths;
    }
}
