<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;

/** Records of one kind: how they are written, compared with what is there, and taken in. */
interface Records
{
    /** @return list<array<string, mixed>> all there are, as the JSON format writes them */
    public function all(): array;

    /** @param  array<string, mixed>  $record */
    public function code(array $record): string;

    /**
     * Told before the first record of a file is checked, so that records may name each other.
     *
     * @param  list<array<string, mixed>>  $records  of the whole file
     */
    public function begin(array $records): void;

    /**
     * What is there under the same code, as the JSON format writes it; null where nothing is.
     *
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>|null
     */
    public function known(array $record): ?array;

    /**
     * What is wrong with a record beside its shape.
     *
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>|null  $known
     * @return list<string>
     */
    public function problems(array $record, ?array $known): array;

    /**
     * Takes records in, within a transaction of the caller's.
     *
     * @param  list<array{record: array<string, mixed>, known: array<string, mixed>|null}>  $changes
     * @param  callable(int): void  $progress  told how many are taken
     */
    public function take(array $changes, User $by, callable $progress): void;

    /**
     * With what is left out filled in, so that two records compare.
     *
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>
     */
    public function whole(array $record): array;
}
