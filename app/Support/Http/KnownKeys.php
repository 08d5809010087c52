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

    protected function prepareForValidation(): void
    {
        $this->countFirst();
    }

    /** How many there are is asked before any of them is looked at. */
    private function countFirst(): void
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
            /** @var array<string, bool> $asked */
            $asked = [];
            foreach (self::paths($this->json()->all(), ['rows', ...$this->lookAfterTheirOwn()]) as [$path, $pattern]) {
                $isKnown = $asked[$pattern] ??= array_filter(
                    $known,
                    static fn (string $rule): bool => $rule === $pattern || Str::startsWith($rule, $pattern.'.'),
                ) !== [];
                if (! $isKnown) {
                    $validator->errors()->add($path, "The key \"{$path}\" is not known here.");
                    if (++$named === self::NAMED) {
                        return;
                    }
                }
            }
        }];
    }

    /** @return list<string> what is many, and whose own rule looks at its keys: counted rows do (SoundRows) */
    protected function lookAfterTheirOwn(): array
    {
        return [];
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @param  list<string>  $closed  patterns that are not looked into
     * @return list<array{string, string}> each path and its pattern, with * for a number
     */
    private static function paths(array $values, array $closed, string $before = '', string $patternBefore = ''): array
    {
        $paths = [];
        foreach ($values as $key => $value) {
            $pattern = $patternBefore.(is_int($key) ? '*' : $key);
            $paths[] = [$before.$key, $pattern];
            if (is_array($value) && ! in_array($pattern, $closed, true)) {
                array_push($paths, ...self::paths($value, $closed, "{$before}{$key}.", "{$pattern}."));
            }
        }

        return $paths;
    }
}
