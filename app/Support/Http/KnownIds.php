<?php

declare(strict_types=1);

namespace App\Support\Http;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Support\Facades\DB;

/** Ids of rows that are there, for lists of them: all are looked up at once, where the framework's own rule asks for each. */
final class KnownIds implements DataAwareRule, ValidationRule
{
    /** @var array<string, mixed> */
    private array $data = [];

    /** @var array<string, array<string, true>> ids that are there, by the place where they stand, with * for a number */
    private array $known = [];

    public function __construct(private readonly string $table, private readonly string $otherwise)
    {
    }

    /** @param  array<string, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $place = (string) preg_replace('/(^|\.)\d+(?=\.|$)/', '$1*', $attribute);
        $known = $this->known[$place] ??= $this->lookUp($place);
        if (! is_string($value) || ! isset($known[strtolower($value)])) {
            $fail($this->otherwise);
        }
    }

    /** @return array<string, true> */
    private function lookUp(string $place): array
    {
        $asked = array_values(array_unique(array_filter((array) data_get($this->data, $place), is_string(...))));
        $ids = DB::table($this->table)->whereIn('id', $asked)->pluck('id')->map(static fn (mixed $id): string => strtolower((string) $id))->all();

        return array_fill_keys($ids, true);
    }
}
