<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\Canonical;
use App\Ledger\Head;
use App\Ledger\Keys;

/**
 * Whether each operation is as it was recorded and where it was recorded. Each hash is made from what stands in the rows and from
 * the hash that stands in the operation before, so that a fault is named where it lies and the rest is still verified.
 */
final class ChainFaults
{
    /** More than this many operations that do not fit are not sorted out one by one. */
    private const MOST = 24;

    private ?RecordedOperation $last = null;

    private string $before;

    /** @var array<int, array{RecordedOperation, string}> what does not fit, with the hash that stands before it */
    private array $suspects = [];

    /** @var list<string> */
    private array $faults = [];

    public function __construct(private readonly Keys $keys)
    {
        $this->before = Head::beforeAll()->hash;
    }

    public function follow(RecordedOperation $operation): void
    {
        $expected = ($this->last->number ?? 0) + 1;
        if ($operation->number !== $expected) {
            $missing =
                $operation->number === $expected + 1
                    ? "Operation {$expected} is missing"
                    : "Operations {$expected} to ".($operation->number - 1).' are missing';
            $this->faults[] = "{$missing}: removed from the record.";
        } else {
            $hash = $this->hash($operation, $operation->number, $this->before);
            if ($hash === null) {
                $this->faults[] = "Operation {$operation->number} is under the key \"{$operation->text(
                    'key_id',
                )}\", which this instance does not have.";
            } elseif ($hash !== $operation->text('hash')) {
                $this->suspects[$operation->number] = [$operation, $this->before];
            }
        }
        $this->last = $operation;
        $this->before = $operation->text('hash');
    }

    /** @return list<string> in words */
    public function faults(Head $head): array
    {
        $last = $this->last->number ?? 0;
        $faults = [...$this->faults, ...$this->sortedOut()];
        if ($head->number > $last) {
            $faults[] = "The record ends with operation {$last}, but {$head->number} were recorded: its end was cut off.";
        } elseif ($head->number < $last) {
            $faults[] = "The record was left at operation {$head->number}, but goes on to {$last}: something was added past its end.";
        } elseif ($head->hash !== $this->before) {
            $faults[] = "The record does not end as it was left: operation {$last} was written over.";
        } elseif ($this->last !== null && (int) $this->last->text('epoch') !== $head->epoch) {
            $faults[] = "The head says epoch {$head->epoch}, but operation {$last} is of epoch {$this->last->text('epoch')}: the head was rewritten.";
        }

        return $faults;
    }

    /** @return list<string> */
    private function sortedOut(): array
    {
        $suspects = array_slice($this->suspects, 0, self::MOST, true);
        $writtenAs = [];
        foreach ($suspects as $number => [$operation]) {
            $writtenAs[$number] = $this->writtenAs($operation, $suspects);
        }
        $faults = [];
        foreach ($writtenAs as $number => $was) {
            if ($was !== null) {
                $faults[] = "Operation {$number} is not in its place: it was recorded as operation {$was}.";
            } elseif (($writtenAs[$number + 1] ?? null) === $number) {
                $faults[] = "Operation {$number} was put in later: what follows it was recorded under the number before its own.";
            } else {
                $faults[] = "Operation {$number} is not as it was recorded: it or what belongs to it was changed, or it was made up.";
            }
        }
        $more = count($this->suspects) - count($suspects);

        return $more === 0
            ? $faults
            : [...$faults, "{$more} more operations after operation ".array_key_last($suspects).' are not as they were recorded.'];
    }

    /**
     * The number under which an operation that does not fit was recorded, where it fits somewhere else.
     *
     * @param  array<int, array{RecordedOperation, string}>  $suspects
     */
    private function writtenAs(RecordedOperation $operation, array $suspects): ?int
    {
        $numbers = array_unique([$operation->number - 1, $operation->number + 1, ...array_keys($suspects)]);
        $hashes = [Head::beforeAll()->hash];
        foreach ($suspects as [$other, $before]) {
            $hashes[] = $before;
            $hashes[] = $other->text('hash');
        }
        foreach ($numbers as $number) {
            foreach (array_unique($hashes) as $before) {
                if ($number !== $operation->number && $this->hash($operation, $number, $before) === $operation->text('hash')) {
                    return $number;
                }
            }
        }

        return null;
    }

    private function hash(RecordedOperation $operation, int $number, string $before): ?string
    {
        return $this->keys->hash($operation->text('key_id'), Canonical::text($before, ['number' => $number] + $operation->row, $operation->parts));
    }
}
