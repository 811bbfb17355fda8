<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

/** Stands in for symfony/clock, as Carbon uses it; see ../functions.php. */
interface ClockInterface extends \Psr\Clock\ClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(\DateTimeZone|string $timezone): static;
}
