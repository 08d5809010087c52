<?php

declare(strict_types=1);

namespace App\Kits;

use App\Catalogue\Catalogue;
use App\Judging\KitPlans;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Where something that is moved into a kit lies: with the line that takes it, else in the first pocket. */
final class PocketFor
{
    public function __construct(private readonly KitPlans $plans, private readonly Catalogue $catalogue)
    {
    }

    /**
     * @param  string  $field  where a refusal stands
     *
     * @throws KitIsRetired
     * @throws ValidationException where a seal is on the kit
     */
    public function __invoke(Kit $kit, string $lotId, string $field): string
    {
        $kit->refuseRetired();
        if ($kit->seal === Seal::Intact) {
            throw ValidationException::withMessages([
                $field => "The seal of {$kit->code} is whole on record. Report it broken first, with the reason.",
            ]);
        }
        $code = (string) DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->where('lots.id', $lotId)->value('items.code');
        $item = $this->catalogue->items([$code])[$code];
        $plan = $this->plans->forKit($kit);
        foreach ($plan->lines as $line) {
            if ($line->pocketId !== null && ! str_contains($line->pocketId, '.') && $line->asked->entryFor($item) !== null) {
                return $line->pocketId;
            }
        }

        return (string) array_key_first($plan->pockets);
    }
}
