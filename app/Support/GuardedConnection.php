<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use Illuminate\Database\Schema\MariaDbBuilder;

/**
 * A connection on which a transaction that the database has rolled back never goes on: what followed would be
 * committed statement by statement, half of an action for good.
 */
final class GuardedConnection extends MariaDbConnection
{
    private bool $isLost = false;

    public function getSchemaBuilder(): MariaDbBuilder
    {
        $builder = parent::getSchemaBuilder();
        $builder->blueprintResolver(
            static fn (Connection $connection, string $table, ?Closure $callback): NarrowBlueprint => new NarrowBlueprint(
                $connection,
                $table,
                $callback,
            ),
        );

        return $builder;
    }

    public function beginTransaction(): void
    {
        if ($this->transactions === 0) {
            $this->isLost = false;
        } else {
            $this->refuseLost();
        }
        parent::beginTransaction();
    }

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     */
    protected function runQueryCallback($query, $bindings, Closure $callback): mixed
    {
        $this->refuseLost();
        try {
            return parent::runQueryCallback($query, $bindings, $callback);
        } catch (QueryException $error) {
            if ($this->transactions > 0 && ($this->causedByConcurrencyError($error) || $this->causedByLostConnection($error))) {
                $this->isLost = true;
            }
            throw $error;
        }
    }

    /**
     * @param  string  $event
     * @return array<array-key, mixed>|null
     */
    protected function fireConnectionEvent($event): ?array
    {
        if ($event === 'committing') {
            $this->refuseLost();
        }

        return parent::fireConnectionEvent($event);
    }

    /** @throws TransactionWasLost */
    private function refuseLost(): void
    {
        // The driver reads this from what the server said with its last answer: it costs no question of its own.
        if ($this->transactions > 0 && ($this->isLost || ! $this->getPdo()->inTransaction())) {
            $this->isLost = true;
            throw new TransactionWasLost('The database has rolled this action back: nothing of it goes on.');
        }
    }
}
