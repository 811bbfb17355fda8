<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/**
 * Major or minor, where a source names a key signature alone: told from the last note and the leading note (trade 2.8). It is
 * minor when the lowest last note is la, or when la is in the last chord and so was raised somewhere.
 */
final class TellMode
{
    private const LA = 5;

    private const SO = 4;

    /** @param list<MeasureDraft> $drafts whose keys are completed */
    public static function settle(array $drafts): void
    {
        for ($from = 0; $from < count($drafts); $from = $to) {
            for ($to = $from + 1; isset($drafts[$to]) && $drafts[$to]->key->fifths === $drafts[$from]->key->fifths && ! $drafts[$to]->key->modeKnown; $to++);
            if ($drafts[$from]->key->modeKnown) {
                continue;
            }
            $told = self::of($drafts[$from]->key, array_slice($drafts, $from, $to - $from));
            for ($at = $from; $at < $to; $at++) {
                $drafts[$at]->key = $told;
            }
        }
        foreach ($drafts as $at => $draft) {
            foreach ($draft->keys as $i => [$onset, $key]) {
                $next = $drafts[$at + 1]->key ?? null;
                $draft->keys[$i] = $key->modeKnown ? [$onset, $key] : [$onset, $next?->fifths === $key->fifths ? $next : new Key($key->fifths)];
            }
        }
    }

    /** @param list<MeasureDraft> $drafts */
    private static function of(Key $key, array $drafts): Key
    {
        [$la, $so] = [($key->doStep() + self::LA) % 7, ($key->doStep() + self::SO) % 7];
        $last = self::lastStruck($drafts);
        $isLa = static fn (Note $note): bool => $note->pitch->step === $la && $note->pitch->alter === $key->alters($la);
        $minor = $last !== [] && ($isLa($last[0]) || (array_filter($last, $isLa) !== [] && self::isRaised($so, $key, $drafts)));

        return new Key($key->fifths, $minor);
    }

    /**
     * @param  list<MeasureDraft>  $drafts
     * @return list<Note> what sounds at the end, the lowest first
     */
    private static function lastStruck(array $drafts): array
    {
        foreach (array_reverse($drafts) as $draft) {
            $sounding = array_values(array_filter($draft->events, static fn (DraftEvent $event): bool => $event->notes !== []));
            if ($sounding === []) {
                continue;
            }
            $end = Fraction::zero();
            foreach ($sounding as $event) {
                $end = $end->max($event->end());
            }
            $notes = array_merge(...array_map(static fn (DraftEvent $event): array => $event->end()->equals($end) ? $event->notes : [], $sounding));
            usort($notes, static fn (Note $a, Note $b): int => $a->pitch->midi() <=> $b->pitch->midi());

            return $notes;
        }

        return [];
    }

    /** @param list<MeasureDraft> $drafts */
    private static function isRaised(int $step, Key $key, array $drafts): bool
    {
        foreach ($drafts as $draft) {
            foreach ($draft->events as $event) {
                foreach ($event->notes as $note) {
                    if ($note->pitch->step === $step && $note->pitch->alter === $key->alters($step) + 1) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
