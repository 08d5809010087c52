<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Models\Design;
use App\Kits\Models\Kit;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/** Ends a design that no kit uses. */
final class RetireDesign
{
    public function __invoke(Design $design, string $day): void
    {
        Transaction::run(function () use ($design, $day): void {
            $design = Design::query()->where('id', $design->id)->lockForUpdate()->firstOrFail();
            $kits = Kit::query()->where('retired_on', null)->whereHas('edition', static fn ($edition) => $edition->where('design_id', $design->id))
                ->orderBy('code')->limit(6)->pluck('code')->all();
            if ($kits !== []) {
                $codes = implode(', ', array_map(static fn (mixed $code): string => is_scalar($code) ? (string) $code : '', array_slice($kits, 0,
                    5)));
                throw ValidationException::withMessages([
                    'design' => "Kits of this design are in service: {$codes}".(count($kits) > 5 ? ', …'
                        : '').'. Only a design that no kit uses is retired.',
                ]);
            }
            $design->update(['retired_on' => $day]);
        });
    }
}
