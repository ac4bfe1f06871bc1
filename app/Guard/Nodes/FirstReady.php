<?php

declare(strict_types=1);

namespace App\Guard\Nodes;

use Illuminate\Database\Connectors\MariaDbConnector;
use PDO;
use PDOException;

/**
 * Where the database is several nodes with the same rows, everybody writes to the first in the list that is ready: two that are
 * written to at once would have to settle each conflict. With no list there is one server, and this does nothing.
 */
final class FirstReady extends MariaDbConnector
{
    private const PATIENCE_S = 2;

    /**
     * Answers only where the node belongs to the majority, and after it has got what any node acknowledged before: what was
     * written by the last request, wherever it was, is read by this one.
     */
    private const READY = ['set session wsrep_sync_wait = 1', 'select 1', 'set session wsrep_sync_wait = 0'];

    /** @param  array<string, mixed>  $config */
    public function connect(array $config): PDO
    {
        $nodes = self::in($config['nodes'] ?? null);
        if ($nodes === []) {
            return parent::connect($config);
        }
        $last = null;
        foreach (Away::last($nodes) as $node) {
            try {
                $ready = $this->ready($node, $config);
                Away::isBack($node);

                return $ready;
            } catch (PDOException $problem) {
                $last = $problem;
                Away::note($node);
            }
        }
        throw $last;
    }

    /** @return non-empty-list<string>|array{} hosts with their ports */
    public static function in(mixed $list): array
    {
        $all = array_map(trim(...), explode(',', is_string($list) ? $list : ''));

        return array_values(array_filter($all, fn (string $node) => $node !== ''));
    }

    /** @param  array<string, mixed>  $config */
    private function ready(string $node, array $config): PDO
    {
        [$host, $port] = [...explode(':', $node, 2), '3306'];
        $options = [...self::optionsOf($config), PDO::ATTR_TIMEOUT => self::PATIENCE_S];
        $pdo = parent::connect(['host' => $host, 'port' => $port, 'options' => $options] + $config);
        foreach (self::READY as $statement) {
            $pdo->prepare($statement)->execute();
        }

        return $pdo;
    }

    /**
     * @param  array<string, mixed>  $config
     * @return array<int, mixed>
     */
    private static function optionsOf(array $config): array
    {
        return is_array($config['options'] ?? null) ? $config['options'] : [];
    }
}
