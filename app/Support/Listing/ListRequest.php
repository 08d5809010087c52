<?php

declare(strict_types=1);

namespace App\Support\Listing;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which rows of a list are asked for, in which order, and as what: a page of it, or all of them as a sheet. */
abstract class ListRequest extends FormRequest
{
    /** @return non-empty-list<string> what it can be sorted by; the first where nothing is asked for */
    abstract protected function sorts(): array;

    /** @return array<string, list<mixed>> what it can be filtered by, with the rules of each */
    abstract protected function filters(): array;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'page' => ['integer', 'between:1,100000'],
            'sort' => [Rule::in($this->sorts())],
            'order' => [Rule::in(['up', 'down'])],
            'q' => ['nullable', 'string', 'max:120'],
            'format' => [Rule::in(['json', 'csv'])],
            ...$this->filters(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.*' => 'This list cannot be read so. Open it anew.'];
    }

    /** @return array<string, mixed> */
    public function validationData(): array
    {
        return $this->query->all();
    }

    public function page(): int
    {
        return max(1, (int) $this->query('page', '1'));
    }

    public function sort(): string
    {
        return $this->filter('sort') ?? $this->sorts()[0];
    }

    /** @return 'asc'|'desc' */
    public function direction(): string
    {
        return $this->filter('order') === 'down' ? 'desc' : 'asc';
    }

    /** What was typed to look for; empty: all. */
    public function text(): string
    {
        return trim((string) $this->filter('q'));
    }

    public function filter(string $name): ?string
    {
        $value = $this->query($name);

        return is_string($value) && $value !== '' ? $value : null;
    }

    public function wantsSheet(): bool
    {
        return $this->filter('format') === 'csv';
    }
}
