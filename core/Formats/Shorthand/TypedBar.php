<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Sign;

/** One voice's bar while it is typed. */
final class TypedBar
{
    /** @var list<TypedEvent> */
    public array $events = [];

    /** @var list<Sign> */
    public array $signs = [];

    /** @var list<array{Fraction, Clef}> */
    public array $clefs = [];

    /** @var list<Navigation> */
    public array $navigation = [];

    public bool $repeatStart = false;

    public bool $repeatEnd = false;

    public int $times = 2;

    public string $barStyle = '';

    /** @var list<int> */
    public array $endings = [];

    /** What is typed so far, in whole notes; a rest for the whole bar has no length of its own. */
    public Fraction $written;

    public function __construct(public bool $startsLine)
    {
        $this->written = Fraction::zero();
    }

    public function hasWholeRest(): bool
    {
        return $this->events !== [] && $this->events[0]->wholeBar;
    }
}
