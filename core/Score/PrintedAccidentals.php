<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Which accidentals are printed on one staff in one measure: an accidental holds to the bar line, on its own place only. */
final class PrintedAccidentals
{
    private const NAMES = [-2 => 'flat-flat', -1 => 'flat', 0 => 'natural', 1 => 'sharp', 2 => 'double-sharp'];

    /** @var array<int, int> the alteration in force, by staff place */
    private array $inForce = [];

    public function __construct(private readonly Key $key) {}

    /** @return array<string, string> the accidentals of a measure by event id and place in the chord, as `R5-1.0` */
    public static function in(Measure $measure): array
    {
        $shown = [];
        $onStaff = [];
        foreach ($measure->events() as $event) {
            $onStaff[$event->staff()->value][] = $event;
        }
        foreach ($onStaff as $events) {
            usort($events, static fn (Event $a, Event $b): int => $a->onset->compare($b->onset));
            $accidentals = new self($measure->key);
            $keys = self::keys($measure);
            foreach ($events as $event) {
                while ($keys !== [] && $keys[0]->onset->compare($event->onset) <= 0) {
                    $key = array_shift($keys)->to;
                    $accidentals = $key instanceof Key ? new self($key) : $accidentals;
                }
                foreach ($event->notes as $i => $note) {
                    $name = $accidentals->shown($note) ?? ($note->courtesy ? self::NAMES[$note->pitch->alter] : null);
                    if ($name !== null) {
                        $shown["{$event->id}.{$i}"] = $name;
                    }
                }
            }
        }

        return $shown;
    }

    /** Of the accidentals that a source prints, marked as courtesies, leaves those that no rule asks for. */
    public static function settle(MeasureDraft $measure): void
    {
        foreach (Hand::cases() as $staff) {
            $on = array_filter($measure->events, static fn (DraftEvent $event): bool => ($event->crossed ? $event->hand->other() : $event->hand) === $staff);
            uasort($on, static fn (DraftEvent $a, DraftEvent $b): int => $a->onset->compare($b->onset));
            $settled = $measure->events;
            $accidentals = new self($measure->key);
            foreach ($on as $i => $event) {
                if ($event->notes === []) {
                    continue;
                }
                $notes = array_map(
                    static fn (Note $note): Note => $accidentals->shown($note) !== null && $note->courtesy
                        ? new Note($note->pitch, $note->finger, $note->tieStart, $note->tieStop)
                        : $note,
                    $event->notes,
                );
                $settled[$i] = new DraftEvent($event->hand, $event->voice, $event->onset, $event->duration, $notes, $event->ink, $event->crossed, $event->token);
            }
            $measure->events = array_values($settled);
        }
    }

    /** The alteration in force at a staff place, as printed so far. */
    public function at(int $diatonic): int
    {
        return $this->inForce[$diatonic] ?? $this->key->alters(($diatonic % 7 + 7) % 7);
    }

    public function set(int $diatonic, int $alter): void
    {
        $this->inForce[$diatonic] = $alter;
    }

    /** @return string|null the name of the accidental to print before this note */
    public function shown(Note $note): ?string
    {
        $place = $note->pitch->diatonic();
        if ($note->tieStop || $this->at($place) === $note->pitch->alter) {
            return null;
        }
        $this->set($place, $note->pitch->alter);

        return self::NAMES[$note->pitch->alter] ?? null;
    }

    /** @return list<Change> */
    private static function keys(Measure $measure): array
    {
        return array_values(array_filter($measure->changes, static fn (Change $change): bool => $change->to instanceof Key));
    }
}
