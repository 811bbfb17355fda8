<?php

declare(strict_types=1);

return [
    // Numbers of students who were erased, beside the database, so that they can be erased again after a restore.
    'erasures' => env('ERASURES_FILE', storage_path('app/erasures')),
    // Whether anybody may make a studio here. Without it only the first account can be made.
    'registration' => (bool) env('OPEN_REGISTRATION', false),
    // Whether figures are told to a scraper on this machine.
    'figures' => env('FIGURES') === 'on',
    // Reverse proxies whose word on the address and the scheme of a request is taken: addresses or networks, divided by commas.
    'trusted_proxies' => env('TRUSTED_PROXIES', ''),
];
