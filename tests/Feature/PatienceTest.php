<?php

declare(strict_types=1);

use App\Database\OutcomeUnknown;
use App\Database\Passing;
use App\Database\PatientConnection;
use App\Http\Middleware\TryAgain;
use Illuminate\Database\Connection;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Database\QueryException;
use Illuminate\Events\Dispatcher;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** A connection with nothing begun on it, as a request finds it; the test's own is within a transaction. */
function untouched(string $name = 'patient'): PatientConnection
{
    $of = config('database.connections.mariadb');
    config(["database.connections.{$name}" => [...(array) $of, 'options' => [PDO::ATTR_EMULATE_PREPARES => true]]]);
    DB::purge($name);
    $connection = DB::connection($name);

    return $connection instanceof PatientConnection ? $connection : throw new LogicException('the connection is not the patient one');
}

/** Ends a connection from another one, as the loss of its node would. */
function cut(PatientConnection $connection): void
{
    $id = (int) $connection->scalar('select connection_id()');
    DB::statement("kill {$id}");
}

const IN_THE_WAY = "signal sqlstate '40001' set message_text = 'Deadlock found when trying to get lock; try restarting transaction'";

it('tries a transaction again from its beginning when another stood in its way', function (): void {
    $connection = untouched();
    $tries = 0;
    $answer = $connection->transaction(static function () use ($connection, &$tries): string {
        if (++$tries < 3) {
            $connection->statement(IN_THE_WAY);
        }

        return 'kept';
    });
    expect([$answer, $tries, $connection->transactionLevel()])->toBe(['kept', 3, 0]);
});

it('gives up after six, and at once on what does not pass', function (string $statement, int $expected): void {
    $connection = untouched();
    $tries = 0;
    $ask = static function () use ($connection, $statement, &$tries): void {
        $connection->transaction(static function () use ($connection, $statement, &$tries): void {
            $tries++;
            $connection->statement($statement);
        });
    };
    expect($ask)->toThrow(QueryException::class);
    expect([$tries, $connection->transactionLevel()])->toBe([$expected, 0]);
})->with(['in the way' => [IN_THE_WAY, 6], 'wrong' => ['select nothing from nowhere', 1]]);

it('begins again on another connection when its own is lost', function (): void {
    $connection = untouched();
    $tries = 0;
    $answer = $connection->transaction(static function () use ($connection, &$tries): int {
        if (++$tries === 1) {
            cut($connection);
        }

        return (int) $connection->scalar('select 7');
    });
    expect([$answer, $tries])->toBe([7, 2]);
    cut($connection);
    expect($connection->scalar('select 8'))->toBe(8);
});

it('begins a transaction within another again with the one that it is in', function (): void {
    $connection = untouched();
    $levels = [];
    $connection->transaction(static function () use ($connection, &$levels): void {
        $levels[] = $connection->transactionLevel();
        $connection->transaction(static function () use ($connection, &$levels): void {
            $levels[] = $connection->transactionLevel();
            if (count($levels) === 2) {
                cut($connection);
            }
            $connection->scalar('select 7');
        });
    });
    expect($levels)->toBe([1, 2, 1, 2]);
});

it('does not try again what may have been kept', function (): void {
    $connection = untouched();
    $tries = 0;
    $ask = static function () use ($connection, &$tries): void {
        $connection->transaction(static function () use ($connection, &$tries): void {
            $tries++;
            cut($connection);
        });
    };
    expect($ask)->toThrow(OutcomeUnknown::class)->and($tries)->toBe(1);
    expect($connection->scalar('select 9'))->toBe(9);
});

it('leaves a statement within a transaction to whoever began it', function (): void {
    $connection = untouched();
    $connection->beginTransaction();
    expect(static fn () => $connection->statement(IN_THE_WAY))->toThrow(QueryException::class);
    $connection->rollBack();
});

it('waits for six seconds in all', function (): void {
    $away = new PDOException('SQLSTATE[08S01]: Communication link failure: 1047 WSREP has not yet prepared node for application use');
    $waits = [];
    for ($try = 1; Passing::wait($away, $try) !== null; $try++) {
        $waits[] = Passing::wait($away, $try);
    }
    expect(array_sum($waits))->toBe(6000)->and(Passing::wait(new RuntimeException('the music cannot be read'), 1))->toBeNull();
});

it('tries again what a node that is cut off from the others has refused to keep', function (): void {
    $refused = new PDOException('SQLSTATE[HY000]: General error: 1180 Error while appending streaming replication fragment(provider status: Not connected to Primary Component)');
    $lost = new PDOException('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away');
    expect([Passing::isAway($refused), Passing::isOpen($refused)])->toBe([true, false])
        ->and([Passing::isAway($lost), Passing::isOpen($lost)])->toBe([true, true])
        ->and(Passing::isOpen(new RuntimeException('the music cannot be read')))->toBeFalse();
});

it('tells nothing of what was sent in what is told of a failure', function (): void {
    $connection = untouched();
    try {
        $connection->select('select nothing from nowhere where name = ?', ['Ottilie']);
    } catch (QueryException $reason) {
        expect($reason->getMessage())->toContain('name = ?')->not->toContain('Ottilie');
    }
});

/** A route that writes on a connection of its own, and is in a transaction of it. */
function asksUntouched(Closure $does): void
{
    $connection = untouched();
    app()->when(TryAgain::class)->needs(Connection::class)->give(static fn (): PatientConnection => $connection);
    Route::middleware(TryAgain::class)->post('/kept-late', static fn (): array => $does($connection));
}

it('tries a request again that is refused only when it is kept', function (): void {
    $tries = 0;
    asksUntouched(static function (PatientConnection $connection) use (&$tries): array {
        if (++$tries === 1) {
            $connection->setEventDispatcher($events = new Dispatcher());
            $events->listen(TransactionCommitting::class, static function () use (&$tries): void {
                if ($tries === 1) {
                    throw new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock');
                }
            });
        }

        return ['tries' => $tries];
    });
    $this->postJson('/kept-late')->assertOk()->assertJson(['tries' => 2]);
});

it('says so when nobody knows whether a request was kept', function (): void {
    $tries = 0;
    asksUntouched(static function (PatientConnection $connection) use (&$tries): array {
        $tries++;
        cut($connection);

        return [];
    });
    $this->postJson('/kept-late')->assertStatus(503)->assertHeader('Retry-After', '2')->assertJsonPath('message', 'The database was away for a moment, and may have kept this or not. Look, and try again.');
    expect($tries)->toBe(1);
});

it('has a primary key on every table, by which nodes know a row', function (): void {
    $without = DB::select("select t.table_name as name from information_schema.tables t where t.table_schema = database() and t.table_type = 'BASE TABLE' and not exists (select 1 from information_schema.table_constraints c where c.table_schema = t.table_schema and c.table_name = t.table_name and c.constraint_type = 'PRIMARY KEY')");
    $engines = DB::select("select distinct engine as name from information_schema.tables where table_schema = database() and table_type = 'BASE TABLE'");
    expect($without)->toBe([])->and(array_column($engines, 'name'))->toBe(['InnoDB']);
});
