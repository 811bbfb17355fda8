<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A file that cannot be read; its message says where and what to do, for the teacher to see. */
final class BadInput extends \RuntimeException {}
