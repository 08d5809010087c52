<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Ledger\Digests;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\Attested;
use App\Ledger\Record;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Lists\Models\LineConfirmation;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;

/**
 * The walk of a responsible person, line by line, beside their own copy of the standard. When every line was
 * compared, the edition takes their figures, is confirmed, and never changes from then on.
 */
final class ConfirmList
{
    public function __construct(
        private readonly WriteList $write,
        private readonly KitStates $states,
        private readonly Record $record,
        private readonly Digests $digests,
        private readonly Organisation $organisation,
    ) {
    }

    /** @param  array{outcome: string, figure: string|null, note: string|null}  $found */
    public function line(KitList $list, string $code, array $found, User $by, CarbonInterface $at): void
    {
        Transaction::run(function () use ($list, $code, $found, $by, $at): void {
            $list = $this->open($list);
            $line = Line::query()->where('list_id', $list->id)->where('code', $code)->firstOrFail();
            LineConfirmation::query()->updateOrCreate(
                ['list_id' => $list->id, 'line_code' => $line->code],
                [
                    'need' => $line->need,
                    'outcome' => $found['outcome'],
                    'asked' => ReadLists::asked($line),
                    'figure' => $found['outcome'] === 'differs' ? self::figure($line, (string) $found['figure']) : null,
                    'note' => $found['note'],
                    'user_id' => $by->id,
                    'confirmed_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
                ],
            );
        });
    }

    /**
     * Confirms an edition of which every line was compared; refused at `lines` where some are left, and at `no_critical_because` where
     * nothing in it is critical and nobody says why.
     */
    public function finish(KitList $list, ?string $noCriticalBecause, User $by, CarbonInterface $at): KitList
    {
        return Transaction::run(function () use ($list, $noCriticalBecause, $by, $at): KitList {
            $this->states->beginChange();
            $list = $this->open($list);
            $found = $list->confirmations()->get()->keyBy('line_code');
            $lines = $list->lines()->with('entries')->get();
            $left = $lines->reject(fn (Line $line): bool => $found->has($line->code));
            if ($left->isNotEmpty()) {
                throw ValidationException::withMessages([
                    'lines' => "{$left->count()} of {$lines->count()} lines were not compared yet: ".
                        $left->pluck('need')->take(5)->implode(', ').
                        '. Compare each with your own copy first.',
                ]);
            }
            if ($lines->every(fn (Line $line): bool => $found[$line->code]?->outcome === 'absent')) {
                throw ValidationException::withMessages([
                    'lines' => 'No line of this list is in your copy: it is another list. Nothing was confirmed.',
                ]);
            }
            $hasCritical = ! $lines->every(
                fn (Line $line): bool => $line->rank !== Rank::Critical || $found[$line->code]?->outcome === 'absent',
            );
            if (! $hasCritical && trim((string) $noCriticalBecause) === '') {
                throw ValidationException::withMessages([
                    'no_critical_because' => 'No line of this edition is critical: whatever is missing, a kit would never be Not ready for it. '.
                        'Rank a line critical, or say why none is.',
                ]);
            }
            foreach ($lines as $line) {
                $finding = $found[$line->code];
                if ($finding?->outcome === 'absent') {
                    WriteList::remove($line);
                } elseif ($finding?->outcome === 'differs') {
                    $line->update($line->total_quantity === null ? ['quantity' => (int) $finding->figure] : ['total_quantity' => $finding->figure]);
                }
            }
            $list->update([
                'confirmed_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
                'confirmed_by_id' => $by->id,
                'no_critical_because' => $hasCritical ? null : trim((string) $noCriticalBecause),
                'revision' => $list->revision + 1,
            ]);
            $title = $list->name().", edition {$list->edition}";
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::ConfirmEdition, $by, $at, $this->organisation->dayOf($at))
                    ->with([], [new Attested('edition', $list->id, $title, $this->digests->of('edition', $list->id))])
                    ->saying($by->name, null),
            );
            $this->write->mark($list);

            return $list;
        });
    }

    private function open(KitList $list): KitList
    {
        $list = KitList::query()->where('id', $list->id)->lockForUpdate()->firstOrFail();
        if ($list->confirmed_at !== null) {
            throw ValidationException::withMessages([
                'outcome' => "Edition {$list->edition} is confirmed already and never changes. Make a new edition, and compare that.",
            ]);
        }

        return $list;
    }

    /** The figure of one's own copy: pieces, or a measure with its unit for a line that asks for a total. */
    private static function figure(Line $line, string $figure): string
    {
        if ($line->total_quantity === null) {
            if (preg_match('/^[1-9]\d{0,5}$/D', $figure) !== 1) {
                throw ValidationException::withMessages([
                    'figure' => 'Enter the number of pieces that your copy asks for, such as 6. Where it does not '.
                        'have this line at all, say "not in my copy".',
                ]);
            }

            return $figure;
        }
        try {
            $quantity = Quantity::of($figure);
        } catch (NotAQuantity) {
            throw ValidationException::withMessages([
                'figure' => "Enter how much your copy asks for in all, a number and a unit, such as {$line->total_quantity}.",
            ]);
        }
        if (! $quantity->isPositive() || $quantity->dimension() !== Quantity::of($line->total_quantity)->dimension()) {
            throw ValidationException::withMessages(['figure' => "Enter a measure above nought of the same kind as {$line->total_quantity}."]);
        }

        return $figure;
    }
}
