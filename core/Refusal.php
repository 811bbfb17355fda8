<?php

declare(strict_types=1);

namespace Nasturtium\Core;

/**
 * What the core refuses. Each part of it has one class of them, whose named makers say what is wrong, with the value, and
 * what would be right: words that a teacher sees.
 */
abstract class Refusal extends \RuntimeException {}
