<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** One change of what was read. */
final readonly class Correction
{
    /**
     * @param int      $piece of the page, from 0
     * @param int      $bar   of the piece, from 0
     * @param int      $staff from 0
     * @param int      $sign  of that staff in that bar, from 0
     * @param int      $head  of that sign, from 0 at the lowest
     * @param int|null $value see Change
     */
    public function __construct(public Change $change, public int $piece = 0, public int $bar = 0, public int $staff = 0, public int $sign = 0, public int $head = 0, public ?int $value = null) {}
}
