<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Score\Notation;
use Nasturtium\Core\Score\Piece as Score;

/** What stands at the head of the page. */
final readonly class Piece implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $title  as it is printed
     * @param  ?string  $composer  null where none is named
     * @param  int  $measures  full and partial ones, the pickup included
     * @param  string  $pickup  its beats, `0` where the piece begins with a whole bar
     * @param  string  $time  the first time signature: `4/4`
     * @param  string  $key  the first key: `G major`, `A minor`
     * @param  int  $lines  how many are printed
     * @param  ?string  $tempoWords  as they are printed
     * @param  ?int  $tempo  quarter notes a minute, the goal; null where none is printed
     * @param  ?int  $tempoFrom  quarter notes a minute, where the range begins
     * @param  Notation  $notation  on a staff, or numbers or letters in the heads of a page without one
     */
    public function __construct(
        public string $title,
        public ?string $composer,
        public int $measures,
        public string $pickup,
        public string $time,
        public string $key,
        public int $lines,
        public ?string $tempoWords,
        public ?int $tempo,
        public ?int $tempoFrom,
        public Notation $notation,
    ) {}

    public static function of(Score $piece): self
    {
        $pickup = $piece->pickup();

        return new self(
            $piece->title,
            $piece->composer,
            count($piece->measures),
            $pickup === null ? '0' : (string) $pickup->meter->beats($pickup->length),
            (string) $piece->meter(),
            $piece->key()->name(),
            count($piece->lines()),
            $piece->tempoWords,
            $piece->tempo,
            $piece->tempoFrom,
            $piece->notation,
        );
    }
}
