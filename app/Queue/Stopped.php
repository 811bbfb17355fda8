<?php

declare(strict_types=1);

namespace App\Queue;

use RuntimeException;

/** Whoever asked for it has stopped it. */
final class Stopped extends RuntimeException {}
