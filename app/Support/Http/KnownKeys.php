<?php

declare(strict_types=1);

namespace App\Support\Http;

use App\Checks\Http\SoundRows;
use Illuminate\Support\Str;
use Illuminate\Validation\Validator;

/** Refuses keys that no rule names, so that a misspelt one is never passed over. */
trait KnownKeys
{
    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $known = array_keys($this->rules());
            // Counted rows are many, and look after their own keys (SoundRows).
            foreach (self::paths(array_diff_key($this->json()->all(), ['rows' => 0])) as $path) {
                $pattern = preg_replace('/(^|\.)\d+(?=\.|$)/', '$1*', $path);
                $isKnown = array_filter($known, static fn (string $rule): bool => $rule === $pattern || Str::startsWith($rule, $pattern.'.'));
                if ($isKnown === []) {
                    $validator->errors()->add($path, "The key \"{$path}\" is not known here.");
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
