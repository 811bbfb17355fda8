<?php

declare(strict_types=1);

namespace App\Console;

use App\Api\Description;
use Illuminate\Console\Command;

/** Writes the API's own description, from which the front end's types are made. */
final class ApiDescriptionCommand extends Command
{
    protected $signature = 'nasturtium:api';

    protected $description = 'Write the OpenAPI description of the API to storage/api.json';

    public function handle(Description $description): int
    {
        file_put_contents(base_path('storage/api.json'), json_encode($description->make(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }
}
