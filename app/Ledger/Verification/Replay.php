<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\Location;
use App\Ledger\OperationKind;
use App\Ledger\Part;
use App\Ledger\Way;

/** Goes through the record again, movement by movement: what follows from it, and where it contradicts itself. */
final class Replay
{
    /** @var array<string, array<string, int>> pieces by whereabouts, and there by lot and condition */
    private array $pieces = [];

    /** @var array<string, array{string|null, string|null, int, string}> number and date as printed when it last moved, the operation, its item */
    private array $lots = [];

    /** @var array<string, array{string, int, string}> the last digest of each document, its operation and its title */
    private array $attestations = [];

    /** @var array<string, true> operations that set a seal, by kit */
    private array $sealsSet = [];

    /** @var list<string> */
    private array $faults = [];

    private int $movements = 0;

    private int $checks = 0;

    public function follow(RecordedOperation $operation): void
    {
        $kind = $operation->kind();
        if ($kind === null) {
            $this->faults[] = "Operation {$operation->number} is of a kind that is not known: \"{$operation->text('kind')}\".";

            return;
        }
        $this->refuseForeign($operation, $kind);
        $this->compare($operation, 'recorded', 'before');
        foreach ($operation->rows(Part::Movements) as $row) {
            $this->move($operation, $row);
        }
        $this->compare($operation, 'became', 'after');
        $this->followSeals($operation);
        foreach ($operation->rows(Part::Attestations) as $row) {
            $this->attestations["{$row['subject']} {$row['subject_id']}"] = [
                self::text($row['digest']),
                $operation->number,
                self::text($row['title']),
            ];
        }
        if ($kind->isCheck()) {
            $this->checks++;
            if ($operation->rows(Part::Check) === [] || $operation->rows(Part::Kits) === []) {
                $this->faults[] = "Operation {$operation->number} is a check of which only a part was written.";
            }
        }
    }

    /** @return list<string> */
    public function faults(): array
    {
        return $this->faults;
    }

    /** @return array<string, array<string, int>> pieces by whereabouts, and there by "lot condition"; none is nought */
    public function pieces(): array
    {
        return array_filter(array_map(static fn (array $there): array => array_filter($there), $this->pieces));
    }

    /** @return array<string, array{string|null, string|null, int, string}> */
    public function lots(): array
    {
        return $this->lots;
    }

    /** @return array<string, array{string, int, string}> */
    public function attestations(): array
    {
        return $this->attestations;
    }

    public function movements(): int
    {
        return $this->movements;
    }

    public function checks(): int
    {
        return $this->checks;
    }

    private function refuseForeign(RecordedOperation $operation, OperationKind $kind): void
    {
        $allowed = array_map(static fn (Part $part): string => $part->value, [Part::Kits, Part::Stores, ...$kind->kind()->parts()]);
        foreach (array_diff(array_keys($operation->parts), $allowed) as $table) {
            $this->faults[] = "Operation {$operation->number} has {$table}, which an operation of its kind does not have.";
        }
        foreach ($operation->rows(Part::Movements) as $row) {
            if (! in_array(Way::of($row), $kind->kind()->ways(), true)) {
                $this->faults[] = "In operation {$operation->number} pieces go \"".Way::of($row).'", which an operation of its kind does not have.';
            }
        }
    }

    /** @param  array<string, mixed>  $row */
    private function move(RecordedOperation $operation, array $row): void
    {
        $this->movements++;
        $this->lots[self::text($row['lot_id'])] = [
            $row['lot_number'] === null ? null : self::text($row['lot_number']),
            $row['expires'] === null ? null : self::text($row['expires']),
            $operation->number,
            self::text($row['item_code']),
        ];
        foreach (['from' => -1, 'to' => 1] as $end => $sign) {
            $condition = $row["{$end}_condition"];
            if ($condition === null) {
                continue;
            }
            $pocket = $row["{$end}_pocket_id"] === null ? null : self::text($row["{$end}_pocket_id"]);
            $where = self::text($row["{$end}_store_id"] ?? Location::inKit(self::text($row["{$end}_kit_id"]), $pocket));
            $key = "{$row['lot_id']} {$condition}";
            $this->pieces[$where][$key] = ($this->pieces[$where][$key] ?? 0) + $sign * (int) $row['quantity'];
            if ($this->pieces[$where][$key] < 0) {
                $this->faults[] = "Operation {$operation->number} takes more of {$row['item_name']} than was there.";
            }
        }
    }

    /** What a check says was on record before it, and after it, against what the movements say. */
    private function compare(RecordedOperation $operation, string $column, string $when): void
    {
        if ($operation->kind() !== OperationKind::FullCheck) {
            return;
        }
        $written = [];
        foreach ($operation->rows(Part::Rows) as $row) {
            $key = "{$row['kit_id']}/{$row['pocket_id']} {$row['lot_id']} {$row['condition']}";
            $written[$key] = ($written[$key] ?? 0) + (int) $row[$column];
        }
        // The kit, and those of its modules that were opened.
        $looked = array_fill_keys(array_map(static fn (array $row): string => self::text($row['kit_id']), $operation->rows(Part::Check)), true);
        $there = [];
        foreach ($this->pieces as $where => $pieces) {
            if (isset($looked[strstr($where, '/', true)]) && ! str_ends_with($where, '/'.Location::UNACCOUNTED)) {
                foreach ($pieces as $key => $quantity) {
                    $there["{$where} {$key}"] = $quantity;
                }
            }
        }
        if (
            array_diff_assoc(array_filter($written), array_filter($there)) !== [] ||
            array_diff_assoc(array_filter($there), array_filter($written)) !== []
        ) {
            $this->faults[] = "What check {$operation->number} says was on record {$when} it is not what the ".
                'movements say: only a part of it was written.';
        }
    }

    private function followSeals(RecordedOperation $operation): void
    {
        foreach ($operation->rows(Part::Seals) as $row) {
            if ($row['event'] === 'set') {
                $this->sealsSet["{$row['kit_id']} {$operation->number}"] = true;
            } elseif ($row['set_by'] !== null && ! isset($this->sealsSet["{$row['kit_id']} {$row['set_by']}"])) {
                $this->faults[] = "Operation {$operation->number} breaks a seal that operation {$row['set_by']} did not set.";
            }
        }
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
