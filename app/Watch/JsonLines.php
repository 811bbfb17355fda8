<?php

declare(strict_types=1);

namespace App\Watch;

use App\Privacy\WithoutSecrets;
use Monolog\Formatter\JsonFormatter;
use Monolog\LogRecord;
use Override;
use PDOException;
use Throwable;

/**
 * A log of one JSON line an event: when, how bad, what, and of which request. Of a failure it has the kind and the place,
 * and of those it came from theirs; nothing that was sent stands in it, no name, no token and no word of a child.
 */
final class JsonLines extends JsonFormatter
{
    #[Override]
    public function format(LogRecord $record): string
    {
        return WithoutSecrets::of($this->toJson(self::of($record), true))."\n";
    }

    /** @return array<string, mixed> */
    public static function of(LogRecord $record): array
    {
        $reason = $record->context['exception'] ?? null;
        $line = ['at' => $record->datetime->format('Y-m-d\TH:i:s.vP'), 'level' => strtolower($record->level->getName()), 'request' => RequestId::current()];
        if ($reason instanceof Throwable) {
            return [...$line, 'event' => 'failure', ...self::failure($reason)];
        }

        return [...$line, 'event' => $record->message, ...array_filter($record->context, is_scalar(...))];
    }

    /** @return array{kind: class-string, code: int|string, number?: int, place: string, from?: array<string, mixed>} */
    private static function failure(Throwable $reason): array
    {
        $place = str_replace(base_path().'/', '', $reason->getFile()).':'.$reason->getLine();
        $from = $reason->getPrevious();
        /** @var int|string $code of a statement it is the SQLSTATE */
        $code = $reason->getCode();

        // The database's own number says what it was; its words may have what was sent in them.
        $number = $reason instanceof PDOException && is_int($reason->errorInfo[1] ?? null) ? ['number' => $reason->errorInfo[1]] : [];

        return ['kind' => $reason::class, 'code' => $code, ...$number, 'place' => $place, ...$from === null ? [] : ['from' => self::failure($from)]];
    }
}
