<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Kits\Models\Kit;
use App\Stock\Models\Store;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** For which kits, and from which store. */
final class PickListRequest extends FormRequest
{
    /** More are not carried in one round. */
    public const KITS = 20;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kits' => ['bail', 'required', 'string', 'max:1000'],
            'store' => ['ulid', 'exists:stores,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['kits.required' => 'Choose the kits that the list is for.', 'store.*' => 'There is no such store.'];
    }

    /** @return non-empty-list<Kit> in walking order */
    public function kits(): array
    {
        $codes = array_values(array_unique(explode(',', $this->string('kits')->value())));
        if (count($codes) > self::KITS) {
            throw ValidationException::withMessages([
                'kits' => 'A pick list is for at most '.self::KITS.' kits. Choose fewer, and print a second one.',
            ]);
        }
        /** @var list<Kit> $kits */
        $kits = Kit::byThemselves()->whereIn('code', $codes)->with(['place', 'state'])->get()
            ->sortBy(static fn (Kit $kit): array => [$kit->state->walk_order ?? PHP_INT_MAX, $kit->code])->values()->all();
        $unknown = array_diff($codes, array_map(static fn (Kit $kit): string => $kit->code, $kits));
        if ($unknown !== [] || $kits === []) {
            throw ValidationException::withMessages([
                'kits' => 'There is no kit in service called '.implode(', ', $unknown).'. Choose the kits again.',
            ]);
        }

        return $kits;
    }

    public function store(): ?Store
    {
        $id = strtolower($this->string('store')->value());

        return $id === '' ? null : Store::query()->where('retired_on', null)->with('place')->findOrFail($id);
    }
}
