<?php

declare(strict_types=1);

namespace App\Api;

/** What a controller takes from the address: a whole number behind `?`, which the description then has. */
interface QueryParameter
{
    public static function name(): string;
}
