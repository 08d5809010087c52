<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Sets a kit to a mission or a season of its design, or to none. It is judged for it at once: what that asks for and is not there is
 * missing from that moment on.
 */
final class SetConfiguration
{
    public function __construct(private readonly Record $record, private readonly KitStates $states)
    {
    }

    /** @param  string|null  $name  null: none */
    public function __invoke(Kit $kit, ?string $name, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $name, $by, $at, $day): void {
            [$whole, $kit] = LockWhole::around($kit->id);
            $kit->refuseRetired();
            $id = self::idOf($kit, $name);
            if ($id === $kit->configuration_id) {
                return;
            }
            $was = $kit->configuration_id === null ? null : DB::table('configurations')->where('id', $kit->configuration_id)->value('name');
            $change = new KitChanged($kit->id, 'configuration', $kit->configuration_id, $id, is_string($was) ? $was : null, $name);
            $kit->forceFill(['configuration_id' => $id]);
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::Change, $by, $at, $day)
                    ->of([$kit, ...$whole->besides($kit)])->with([], [$change]),
                fn () => $this->states->renew($whole, $day),
            );
        });
    }

    /** The configuration of the kit's edition that is called so; null where none is meant. */
    public static function idOf(Kit $kit, ?string $name): ?string
    {
        if ($name === null) {
            return null;
        }
        $id = DB::table('configurations')->where('design_edition_id', $kit->design_edition_id)->where('name', $name)->value('id');

        return is_string($id) ? $id : throw ValidationException::withMessages([
            'configuration' => "The design of {$kit->code} has no configuration \"{$name}\". Open the kit again.",
        ]);
    }
}
