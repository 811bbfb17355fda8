<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A value that no page can hold, such as a time signature of 4/0. */
final class InvalidScore extends \InvalidArgumentException {}
