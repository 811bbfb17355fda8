<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sheet;

use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\Kinds\Makers;
use Nasturtium\Core\Drill\Kinds\Shown;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Words;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Makes the questions of a worksheet. The same material, choices and seed print the same sheet (trade 17.1). */
final class MakeSheet
{
    public const MOST = 24;

    /** How hard it is: the part of what there is, from what is met first, in thirds. */
    public const HARDEST = 3;

    /** Notes of a line in which some are ringed. */
    private const IN_A_LINE = 8;

    /** Lengths of rhythm sums: quarters that each has. */
    private const LENGTHS = ['quarter' => '1', 'half' => '2', 'whole' => '4', 'dotted half' => '3', 'eighth' => '1/2', 'dotted quarter' => '3/2'];

    private readonly Randomizer $chance;

    /** @param int $hard 1 to HARDEST */
    public function __construct(private readonly Material $material, private readonly int $hard, int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** @return list<SheetItem> as many as were wanted, or as the material gives */
    public function __invoke(SheetKind $kind, int $count): array
    {
        return match ($kind) {
            SheetKind::Ring => $this->rings($count),
            SheetKind::Sums => $this->sums($count),
            SheetKind::Keys => $this->keys($count),
            default => $this->fromCards($kind, $count),
        };
    }

    /** @return list<SheetItem> */
    private function fromCards(SheetKind $kind, int $count): array
    {
        $drill = $kind->drill();
        $cards = $drill === null ? [] : Makers::of($drill)->cards($this->material);
        $sort = match ($kind) {
            SheetKind::Counts => 'count counts ',
            SheetKind::BarLines => 'count line ',
            default => '',
        };
        $cards = array_values(array_filter($cards, static fn (Card $card): bool => str_starts_with($card->id, $sort)));

        return array_map(fn (Card $card): SheetItem => self::item($kind, $card), $this->some($cards, $count));
    }

    private static function item(SheetKind $kind, Card $card): SheetItem
    {
        $options = array_column($card->options, 'label', 'id');
        $right = (string) ($options[$card->right[0]] ?? $card->right[0]);

        return match ($kind) {
            SheetKind::Draw => new SheetItem(preg_replace('/^Where is (.*)\?$/', 'Draw $1.', $card->ask) ?? $card->ask, ucfirst($right).'.', $card->music),
            SheetKind::Counts => new SheetItem('Write the counts under the bar.', $right, $card->music),
            SheetKind::BarLines => new SheetItem('Put in the bar line.', "After note or rest {$right}.", $card->music),
            SheetKind::Name => new SheetItem('', $right, $card->music),
            default => new SheetItem($card->ask, $right, $card->music, $card->sign, $kind->ringsOptions() ? array_values($options) : []),
        };
    }

    /**
     * So many by chance of what is met first; each once.
     *
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T>
     */
    private function some(array $of, int $count): array
    {
        $open = array_slice($of, 0, max(min($count, count($of)), intdiv(count($of) * $this->hard, self::HARDEST)));

        /** @var list<T> */
        return array_slice($this->chance->shuffleArray($open), 0, $count);
    }

    /** @return list<SheetItem> lines of notes, in each of which one letter is ringed */
    private function rings(int $count): array
    {
        $items = [];
        $clefs = array_values(array_filter([Clef::Treble, Clef::Bass], fn (Clef $clef): bool => count($this->material->on($clef)) > 2));
        for ($i = 0; $clefs !== [] && $i < $count; $i++) {
            $clef = $clefs[$i % count($clefs)];
            $pitches = $this->material->on($clef);
            $line = array_map(fn (): Pitch => $pitches[$this->chance->getInt(0, count($pitches) - 1)], range(1, self::IN_A_LINE));
            $letter = $line[$this->chance->getInt(0, self::IN_A_LINE - 1)]->letter();
            $at = array_keys(array_filter($line, static fn (Pitch $pitch): bool => $pitch->letter() === $letter));
            $items[] = new SheetItem("Ring every {$letter}.", (count($at) === 1 ? 'Note ' : 'Notes ').Words::listed(array_map(static fn (int $place): string => (string) ($place + 1), $at)).'.', Shown::note($clef, ...$line));
        }

        return $items;
    }

    /** @return list<SheetItem> */
    private function sums(int $count): array
    {
        $lengths = array_slice(self::LENGTHS, 0, 3 + $this->hard, true);
        $items = [];
        $words = $this->material->counting->noteWords;
        for ($i = 0; $i < $count; $i++) {
            $names = array_map(fn (): string => array_keys($lengths)[$this->chance->getInt(0, count($lengths) - 1)], range(1, 1 + $this->hard));
            $sum = Fraction::zero();
            foreach ($names as $name) {
                [$over, $under] = [...explode('/', $lengths[$name]), '1'];
                $sum = $sum->plus(Fraction::of((int) $over, (int) $under));
            }
            $items[] = new SheetItem('How many beats?', self::beats($sum), sign: implode(' + ', array_map(static fn (string $name): string => self::lengthIn($words, $name), $names)).' =');
        }

        return $items;
    }

    private static function lengthIn(NoteWords $words, string $name): string
    {
        $parts = explode(' ', $name);
        $value = array_pop($parts);

        return implode(' ', [...$parts, $words->of($value)]);
    }

    private static function beats(Fraction $sum): string
    {
        $whole = $sum->floor();

        return $sum->part()->isZero() ? (string) $whole : ($whole === 0 ? '½' : "{$whole}½");
    }

    /** @return list<SheetItem> */
    private function keys(int $count): array
    {
        return array_map(
            static fn (array $note): SheetItem => new SheetItem('Which key is marked?', Shown::spelled($note[1]), key: $note[1]->midi()),
            $this->some($this->material->notes, $count),
        );
    }
}
