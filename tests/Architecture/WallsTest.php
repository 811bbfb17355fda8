<?php

declare(strict_types=1);

arch('the core knows nothing of the framework, the application or the clock')
    ->expect('Nasturtium\Core')
    ->not->toUse(['Illuminate', 'App', 'Carbon', 'now', 'time', 'date', 'env', 'config', 'microtime']);

arch('classes of the core are final')
    ->expect('Nasturtium\Core')
    ->classes()->toBeFinal();

arch('everything is strictly typed')
    ->expect(['Nasturtium\Core', 'App'])
    ->toUseStrictTypes();

arch('nothing is left over from looking')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'print_r'])
    ->not->toBeUsed();
