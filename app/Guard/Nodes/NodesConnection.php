<?php

declare(strict_types=1);

namespace App\Guard\Nodes;

use Closure;
use Illuminate\Database\DeadlockException;
use Illuminate\Database\MariaDbConnection;
use PDO;

/**
 * To one of several nodes. When a change of another node wins, the transaction here ends, and the statement that runs at that moment
 * need not be told: a query may answer as if nothing were. What follows would stand alone and for good. So after each statement it is asked
 * whether the transaction is still there, which costs nothing: every answer of the server says so.
 */
final class NodesConnection extends MariaDbConnection
{
    /** As the database itself says that two have met. */
    private const CONFLICT = 40001;

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     *
     * @throws DeadlockException when the transaction is no more
     */
    protected function run($query, $bindings, Closure $callback): mixed
    {
        $result = parent::run($query, $bindings, $callback);
        if ($this->transactions > 0 && ! $this->isInTransaction()) {
            throw new DeadlockException('Another node changed the same; this transaction is no more.', self::CONFLICT);
        }

        return $result;
    }

    /** One whose end was refused is still there for PDO. */
    protected function createTransaction(): void
    {
        if ($this->transactions === 0 && $this->isInTransaction()) {
            $this->getPdo()->rollBack();
        }
        parent::createTransaction();
    }

    private function isInTransaction(): bool
    {
        return $this->pdo instanceof PDO && $this->pdo->inTransaction();
    }
}
