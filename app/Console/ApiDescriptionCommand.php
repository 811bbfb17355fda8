<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Writes the API's own description, from which the front end's types are made. */
final class ApiDescriptionCommand extends Command
{
    protected $signature = 'nasturtium:api';

    protected $description = 'Write the OpenAPI description of the API to storage/api.json';

    public function handle(): int
    {
        $description = Generator::scan([app_path('Http')], ['validate' => true]);
        if ($description === null) {
            $this->error('The API could not be described.');

            return self::FAILURE;
        }
        file_put_contents(base_path('storage/api.json'), $description->toJson());

        return self::SUCCESS;
    }
}
