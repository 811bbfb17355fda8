<?php

declare(strict_types=1);

namespace App\Watch;

use Illuminate\Support\Facades\DB;
use Throwable;

/** What is told to whoever watches: the requests of this pool, the queue, the database. */
final class Told
{
    /** What the database is asked, by the name it is told under. */
    private const DATABASE = [
        'threads_connected' => ['nasturtium_database_connections', 'Connections that are open.'],
        'innodb_row_lock_time_avg' => ['nasturtium_database_lock_wait_milliseconds', 'How long a row is waited for, on average.'],
        'slow_queries' => ['nasturtium_database_slow_statements', 'Statements over the time that counts as slow.'],
        'wsrep_cluster_size' => ['nasturtium_database_nodes', 'Nodes that are together.'],
        'wsrep_local_recv_queue' => ['nasturtium_database_behind', 'Changes of other nodes that wait.'],
        'wsrep_local_cert_failures' => ['nasturtium_database_refused', 'Transactions refused because another node was first.'],
        'wsrep_flow_control_paused' => ['nasturtium_database_held_back', 'The part of the time that writes were held back.'],
    ];

    public static function text(): string
    {
        $told = new Exposition();
        self::requests($told);
        try {
            self::queue($told);
            self::database($told);
            $told->add('nasturtium_database_up', 'gauge', 'Whether the database answers.', [[[], 1]]);
        } catch (Throwable) {
            $told->add('nasturtium_database_up', 'gauge', 'Whether the database answers.', [[[], 0]]);
        }

        return $told->text();
    }

    private static function requests(Exposition $told): void
    {
        $values = [];
        foreach (Figures::requests() as $of) {
            $labels = ['method' => $of['method'], 'route' => $of['route'], 'status' => $of['status']];
            $till = 0;
            foreach ($of['within'] as $end => $count) {
                $till += $count;
                $values[] = [[...$labels, 'le' => (string) ($end / 1000)], $till, '_bucket'];
            }
            $values[] = [[...$labels, 'le' => '+Inf'], $of['count'], '_bucket'];
            $values[] = [$labels, $of['seconds'], '_sum'];
            $values[] = [$labels, $of['count'], '_count'];
        }
        $told->add('nasturtium_request_seconds', 'histogram', 'Requests of this pool, by route and class of answer.', $values);
    }

    private static function queue(Exposition $told): void
    {
        $waiting = $oldest = [];
        foreach (DB::table('jobs')->selectRaw('queue, count(*) as waiting, min(available_at) as since')->whereNull('reserved_at')->groupBy('queue')->get() as $row) {
            $waiting[] = [['queue' => (string) $row->queue], (int) $row->waiting];
            $oldest[] = [['queue' => (string) $row->queue], max(0, now()->getTimestamp() - (int) $row->since)];
        }
        $told->add('nasturtium_queue_waiting', 'gauge', 'Jobs that wait.', $waiting === [] ? [[['queue' => 'default'], 0]] : $waiting)
            ->add('nasturtium_queue_oldest_seconds', 'gauge', 'How long the oldest job has waited.', $oldest)
            ->add('nasturtium_queue_running', 'gauge', 'Jobs that a worker has.', [[[], DB::table('jobs')->whereNotNull('reserved_at')->count()]])
            ->add('nasturtium_queue_failed', 'gauge', 'Jobs that were given up.', [[[], DB::table('failed_jobs')->count()]]);
    }

    private static function database(Exposition $told): void
    {
        $rows = DB::select("select variable_name as name, variable_value as value from information_schema.global_status where variable_name in ('".implode("','", array_keys(self::DATABASE))."')");
        foreach ($rows as $row) {
            [$name, $help] = self::DATABASE[strtolower((string) $row->name)];
            if (is_numeric($row->value)) {
                $told->add($name, 'gauge', $help, [[[], (float) $row->value]]);
            }
        }
    }
}
