<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Nasturtium\Core\Report\Document\FieldTable;
use Nasturtium\Core\Report\Document\JsonSchema;

/** Prints the JSON Schema of the breakdown report, or writes its fields into docs/breakdown.md. */
final class SchemaCommand extends Command
{
    protected $signature = 'nasturtium:schema {--docs : write the fields into docs/breakdown.md}';

    protected $description = 'Print the JSON Schema of the breakdown report';

    /** What is written stands between these two lines. */
    public const BETWEEN = ['<!-- fields: written by `php artisan nasturtium:schema --docs` -->', '<!-- end of the fields -->'];

    public function handle(): int
    {
        if ($this->option('docs') === true) {
            $file = base_path('docs/breakdown.md');
            file_put_contents($file, self::written((string) file_get_contents($file)));
        } else {
            $this->output->writeln(json_encode(JsonSchema::document(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        }

        return self::SUCCESS;
    }

    /** @return string the page with the fields as they are now */
    public static function written(string $page): string
    {
        [$begin, $end] = self::BETWEEN;

        return (string) preg_replace_callback(
            '/'.preg_quote($begin, '/').'.*'.preg_quote($end, '/').'/s',
            static fn (): string => "{$begin}\n\n".FieldTable::markdown()."\n{$end}",
            $page,
        );
    }
}
