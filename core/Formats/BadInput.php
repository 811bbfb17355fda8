<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Refusal;

/** A file that cannot be read; its message says where and what to do, for the teacher to see. Each format has its own. */
abstract class BadInput extends Refusal {}
