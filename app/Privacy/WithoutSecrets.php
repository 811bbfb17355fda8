<?php

declare(strict_types=1);

namespace App\Privacy;

use Illuminate\Log\Logger;
use Monolog\Formatter\LineFormatter;
use Monolog\Handler\FormattableHandlerInterface;
use Monolog\Logger as Monolog;
use Monolog\LogRecord;

/** No token, no password and no value that the database refused stands in a log: what looks like one is left out of every line. */
final class WithoutSecrets
{
    public function __invoke(Logger $logger): void
    {
        $monolog = $logger->getLogger();
        foreach ($monolog instanceof Monolog ? $monolog->getHandlers() : [] as $handler) {
            if ($handler instanceof FormattableHandlerInterface) {
                $handler->setFormatter(new class (null, 'Y-m-d H:i:s', true, true, true) extends LineFormatter {
                    public function format(LogRecord $record): string
                    {
                        return WithoutSecrets::of(parent::format($record));
                    }
                });
            }
        }
    }

    public static function of(string $line): string
    {
        return (string) preg_replace(
            // What the database says of a value it does not take has the value in it.
            ["~((?:Duplicate entry|Incorrect [a-z ]+ value:?) )'.*?'(?= for (?:key|column))~s", "~(Truncated incorrect \\w+ value:? )'.*?'(?=\\s|$)~s", '~(/(?:home|calendar|camera)/)[A-Za-z0-9]{20,}~', '~\b(?=[A-Za-z]*\d)[A-Za-z0-9]{40}\b~', '~\b[0-9a-f]{64}\b~', '~\$2[aby]\$\d\d\$[./A-Za-z0-9]{53}~', '~("?(?:password|token|secret|authorization|cookie)"?\s*(?:=>|[:=])\s*)("[^"]*"|\'[^\']*\'|[^\s,;)\]}]+)~i'],
            ['$1[left out]', '$1[left out]', '$1[left out]', '[left out]', '[left out]', '[left out]', '$1[left out]'],
            $line,
        );
    }
}
