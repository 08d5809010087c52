<?php

declare(strict_types=1);

namespace App\Checks;

use App\Kits\Models\Kit;
use App\Ledger\Parts\SealEvent;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** The number that a quick check read on a seal. */
final class SealReading
{
    /** @throws WrongSealNumber where it is not the one on record */
    public static function refuseWrong(CheckReport $report, Kit $kit): void
    {
        if ($kit->seal !== Seal::Intact) {
            throw ValidationException::withMessages(['kind' => 'A quick check reads an intact seal, and this kit has none. Do a full check.']);
        }
        if (! $kit->isSealedWith($report->sealFound)) {
            throw new WrongSealNumber;
        }
    }

    /**
     * Answers a wrong number that was read in the same visit before. Both readings are kept.
     *
     * @return list<SealEvent> none where no wrong number was read in this visit
     */
    public static function again(CheckReport $report, Kit $kit): array
    {
        return $kit->seal_doubt === $report->id ? [new SealEvent($kit->id, SealEvent::READ, $report->sealFound, $report->id)] : [];
    }
}
