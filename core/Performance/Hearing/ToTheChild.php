<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Words;

/** What a child is told of a take: what went well first, then one thing, with what to do (trade 18.4). */
final readonly class ToTheChild
{
    /** Of a thousand beats, from here on it was steady. */
    private const STEADY = 850;

    /**
     * @param  string  $well  what went well
     * @param  ?string  $thing  the one thing, with what to do; null where nothing is to be done
     * @param  list<int>  $measures  where it is, as indices in the piece
     */
    private function __construct(public string $well, public ?string $thing, public array $measures) {}

    public static function of(Heard $heard): self
    {
        if (array_filter($heard->notes, static fn (HeardNote $note): bool => $note->status->sounded()) === []) {
            return new self('I am ready when you are.', 'Nothing was heard that belongs to these bars. Look where your hands start, and play again.', []);
        }
        if (! $heard->isHeard()) {
            return new self('You played, and you went on.', 'Much of it was hard to hear. Put this nearer to the piano, and play it again.', []);
        }
        [$thing, $measures] = self::thing($heard);

        return new self(self::well($heard), $thing, $measures);
    }

    private static function well(Heard $heard): string
    {
        $right = [];
        foreach ($heard->notes as $note) {
            $bar = $note->written->bar;
            $right[$bar] = ($right[$bar] ?? true) && ($note->status === HeardStatus::Right || $note->status === HeardStatus::Unsure);
        }
        $best = self::longest($heard, $right);

        return match (true) {
            $heard->isClean() => 'Every note was right, and you went on without a stop.',
            ! in_array(false, $right, true) => 'Every note was right.',
            $best !== null => "{$best}: every note was right.",
            $heard->steady !== null && $heard->steady >= self::STEADY => 'Your beat was steady.',
            default => 'You played, and you went on.',
        };
    }

    /** @param array<int, bool> $right by the bar as it is played */
    private static function longest(Heard $heard, array $right): ?string
    {
        $best = $run = [];
        foreach ($right as $bar => $isRight) {
            $run = $isRight ? [...$run, $bar] : [];
            $best = count($run) > count($best) ? $run : $best;
        }
        $numbers = array_map(static fn (int $bar): int => $heard->music->piece->measures[$heard->music->order[$bar]]->number, $best);

        return match (true) {
            $numbers === [] => null,
            count($numbers) === 1 => ucfirst(self::bar($numbers[0])),
            $numbers[count($numbers) - 1] < $numbers[0] => null,
            default => ucfirst(self::bar($numbers[0])).' to '.self::bar($numbers[count($numbers) - 1]),
        };
    }

    /** @return array{?string, list<int>} */
    private static function thing(Heard $heard): array
    {
        $keys = [];
        foreach ($heard->notes as $note) {
            if ($note->status === HeardStatus::Wrong || $note->status === HeardStatus::Missed) {
                $keys[$note->written->measure] = ($keys[$note->written->measure] ?? 0) + 1;
            }
        }
        if ($keys !== []) {
            arsort($keys);
            $measure = array_key_first($keys);

            return ['In '.self::where($heard, $measure).' look again: name the notes, then play them slowly.', [$measure]];
        }
        foreach ($heard->stalls as $stall) {
            $measure = $heard->notes[$stall['before']]->written->measure;

            return ['It stood still in '.self::where($heard, $measure).': look ahead, and play from the bar before it.', [$measure]];
        }
        foreach ($heard->apart as $apart) {
            $measure = $heard->notes[$apart['note']]->written->measure;

            return ['In '.self::where($heard, $measure).' the hands want to meet: each hand once, then together.', [$measure]];
        }
        foreach ($heard->notes as $note) {
            if ($note->hold === Hold::Short) {
                return ['In '.self::where($heard, $note->written->measure).' hold the long note for all its beats: count aloud.', [$note->written->measure]];
            }
        }
        $count = count($heard->extras);
        if ($count === 0 && $heard->octave !== 0) {
            return ['It was an octave too '.($heard->octave > 0 ? 'high' : 'low').'. Find where your hands start, and play it there.', []];
        }

        return $count === 0 ? [null, []] : [ucfirst(Words::counted($count, 'key')).' too many: touch the keys before you play.', []];
    }

    private static function where(Heard $heard, int $measure): string
    {
        return self::bar($heard->music->piece->measures[$measure]->number);
    }

    private static function bar(int $number): string
    {
        return $number === 0 ? 'the pickup' : "bar {$number}";
    }
}
