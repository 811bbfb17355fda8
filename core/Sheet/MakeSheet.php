<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sheet;

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\Bar;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\Kinds\Makers;
use Nasturtium\Core\Drill\Kinds\Shown;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Recall;
use Nasturtium\Core\Drill\RecallQuestion;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightWent;
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

    /**
     * @param  int  $hard  1 to HARDEST
     * @param  ?SightSource  $sight  what lines at sight are made of
     */
    public function __construct(private readonly Material $material, private readonly int $hard, private readonly int $seed, private readonly ?SightSource $sight = null)
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
            SheetKind::BarLines => $this->barLines($count),
            SheetKind::PageNames, SheetKind::PageCounts => $this->page($kind, $count),
            SheetKind::Recall => $this->recall($count),
            SheetKind::Sight => $this->lines($count),
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
            SheetKind::Name => 'name ',
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

    /** @return list<SheetItem> bars one after the other, without what divides them: two of them, or more where it is harder */
    private function barLines(int $count): array
    {
        $groups = [];
        foreach (Bar::of($this->material) as $bar) {
            $groups["{$bar->measure->meter} {$bar->clef->value}"][] = $bar;
        }
        $rows = [];
        foreach ($groups as $bars) {
            for ($i = 0; isset($bars[$i + $this->hard]); $i++) {
                $rows[] = [$bars[$i], ...array_slice($bars, $i + 1, $this->hard)];
            }
        }

        return array_map(self::withoutBarLines(...), $this->some($rows, $count));
    }

    /** @param non-empty-list<Bar> $bars of one meter and clef */
    private static function withoutBarLines(array $bars): SheetItem
    {
        $after = [];
        $tones = [];
        foreach ($bars as $bar) {
            $tones = [...$tones, ...$bar->tones];
            $after[] = (string) count($tones);
        }
        array_pop($after);
        $isOne = count($after) === 1;

        return new SheetItem(
            $isOne ? 'Put in the bar line.' : 'Put in the bar lines.',
            ($isOne ? 'After note or rest ' : 'After notes or rests ').Words::listed($after).'.',
            StaffLine::write($bars[0]->clef, [$tones], $bars[0]->measure->meter, true),
        );
    }

    /** @return list<SheetItem> about the newest page */
    private function recall(int $count): array
    {
        $piece = $this->material->pieces[0] ?? null;
        $asked = $piece === null ? [] : Recall::all($piece, $this->material->counting->noteWords);

        return array_map(static fn (RecallQuestion $question): SheetItem => new SheetItem($question->ask, $question->answer), $this->some($asked, $count));
    }

    /** @return list<SheetItem> each to be rung by how it went */
    private function lines(int $count): array
    {
        $make = $this->sight === null ? null : new MakeLine($this->sight->material);
        $used = $this->sight->used ?? [];
        $items = [];
        for ($i = 0; $this->sight !== null && $make !== null && $i < $count; $i++) {
            $line = $make($this->sight->level($this->hard), crc32("{$this->seed} {$i}"), $used);
            if ($line === null) {
                return [];
            }
            // The latest of all: it comes again on this sheet when there is no other.
            $used[$line->mark()] = PHP_INT_MAX - self::MOST + $i;
            $piece = $line->piece();
            $items[] = new SheetItem('', "Level {$line->level->value}. ".self::byHand($piece->measures, self::letters(...)), MusicXmlWriter::write($piece->withoutTempo()), options: array_map(static fn (SightWent $went): string => $went->label(), SightWent::cases()));
        }

        return $items;
    }

    /** @return list<SheetItem> the lines of the newest page, to write under every note */
    private function page(SheetKind $kind, int $count): array
    {
        $piece = $this->material->pieces[0] ?? null;
        if ($piece === null) {
            return [];
        }
        $counts = Counts::of($piece, $this->material->counting);
        $items = [];
        foreach (MusicXmlWriter::lines($piece) as $at => $music) {
            $line = $piece->lines()[$at];
            $measures = array_slice($piece->measures, $line->from, $line->to - $line->from + 1);
            $items[] = $kind === SheetKind::PageNames
                ? new SheetItem('Write the name of every note.', self::byHand($measures, self::letters(...)), $music)
                : new SheetItem('Write the counts, then say them and tap.', self::byHand($measures, static fn (Measure $measure, Hand $hand): string => $counts->text($measure, $hand)), $music);
        }

        return array_slice($items, 0, $count);
    }

    private static function letters(Measure $measure, Hand $hand): string
    {
        return implode(' ', array_map(
            static fn (Event $event): string => $event->isRest() ? '–' : implode('+', array_map(static fn (Note $note): string => Shown::spelled($note->pitch), $event->notes)),
            $measure->of($hand),
        ));
    }

    /**
     * `Right hand: C D E | F G.`
     *
     * @param  list<Measure>  $measures
     * @param  \Closure(Measure, Hand): string  $said
     */
    private static function byHand(array $measures, \Closure $said): string
    {
        $hands = [];
        foreach (Hand::cases() as $hand) {
            $sounds = array_filter($measures, static fn (Measure $measure): bool => array_filter($measure->of($hand), static fn (Event $event): bool => ! $event->isRest()) !== []);
            if ($sounds !== []) {
                $bars = array_map(static fn (Measure $measure): string => $said($measure, $hand), $measures);
                $hands[] = ucfirst($hand->word()).': '.implode(' | ', array_map(static fn (string $bar): string => $bar === '' ? '–' : $bar, $bars)).'.';
            }
        }

        return implode(' ', $hands);
    }
}
