<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Formats\BadInput;

/** A take as JSON, and what was heard in it (docs/hearing.md). */
final class TakeFile
{
    /** An hour of scales is no take. */
    public const MOST = 20_000;

    /** Seconds. */
    private const LONGEST = 3_600;

    /**
     * @return list<TakenNote>
     *
     * @throws BadInput
     */
    public static function read(string $json): array
    {
        try {
            $given = json_decode(str_starts_with($json, "\xEF\xBB\xBF") ? substr($json, 3) : $json, true, 8, JSON_THROW_ON_ERROR);
        } catch (\JsonException $reason) {
            throw BadTake::notJson($reason);
        }
        $notes = is_array($given) ? ($given['notes'] ?? null) : null;
        if (! is_array($notes) || ! array_is_list($notes)) {
            throw BadTake::noNotes();
        }
        if (count($notes) > self::MOST) {
            throw BadTake::tooMany(self::MOST);
        }

        return array_map(self::note(...), $notes, array_keys($notes));
    }

    /** @param list<TakenNote> $taken */
    public static function of(array $taken): string
    {
        return json_encode(['notes' => array_map(static fn (TakenNote $note): array => ['t' => $note->at / 1_000, 'off' => $note->off / 1_000, 'pitch' => $note->pitch, 'vel' => $note->velocity, 'p' => $note->sure / 1_000], $taken)], JSON_THROW_ON_ERROR);
    }

    /** @throws BadInput */
    private static function note(mixed $note, int $i): TakenNote
    {
        $note = is_array($note) ? $note : throw BadTake::noNotes();
        $number = static function (string $name, float $least, float $most, string $what, ?float $usual = null) use ($note, $i): float {
            $value = $note[$name] ?? $usual;

            return (is_int($value) || is_float($value)) && $value >= $least && $value <= $most ? (float) $value : throw BadTake::noNumber($i + 1, $name, $what);
        };
        $at = (int) round(1_000 * $number('t', 0, self::LONGEST, 'seconds from 0 to 3600'));
        $off = (int) round(1_000 * $number('off', 0, self::LONGEST, 'seconds from 0 to 3600', $at / 1_000));
        $pitch = $number('pitch', 0, 127, 'a whole number from 0 to 127');
        if ($pitch !== floor($pitch)) {
            throw BadTake::noNumber($i + 1, 'pitch', 'a whole number from 0 to 127');
        }

        return $off < $at ? throw BadTake::endsBeforeItBegins($i + 1) : new TakenNote(
            $at,
            $off,
            (int) $pitch,
            (int) round($number('vel', 0, 127, 'from 0 to 127', 64)),
            (int) round(1_000 * $number('p', 0, 1, 'from 0 to 1', 1)),
        );
    }

    /** @return array<string, mixed> ready for JSON */
    public static function written(Heard $heard): array
    {
        return [
            'notes' => array_map(self::heard(...), $heard->notes),
            'extras' => array_map(static fn (TakenNote $note): array => ['t' => $note->at / 1_000, 'pitch' => $note->pitch], $heard->extras),
            'stalls' => array_map(static fn (array $stall): array => ['before' => $stall['before'], 'seconds' => $stall['milliseconds'] / 1_000], $heard->stalls),
            'restarts' => array_map(static fn (array $restart): array => ['t' => $restart['at'] / 1_000, 'from' => $restart['from'], 'to' => $restart['to']], $heard->restarts),
            'apart' => array_map(static fn (array $apart): array => ['note' => $apart['note'], 'ms' => $apart['milliseconds']], $heard->apart),
            'tempo' => $heard->tempo === null ? null : round($heard->tempo / 1_000, 1),
            'steadiness' => $heard->steady === null ? null : $heard->steady / 1_000,
            'octave' => $heard->octave,
            'slips' => array_map(static fn (ProposedSlip $slip): array => ['kind' => $slip->kind->value, 'place' => (string) $slip->place, 'hand' => $slip->hand?->value, 'why' => $slip->why, 'notes' => $slip->notes], ProposeSlips::of($heard)),
        ];
    }

    /** @return array<string, mixed> */
    private static function heard(HeardNote $note): array
    {
        $sounded = $note->at !== null;

        return [
            'at' => (string) $note->written->at,
            'pitch' => $note->written->pitch,
            'place' => (string) $note->written->place,
            'hand' => $note->written->hand->value,
            'status' => $note->status->value,
            'played' => $note->played,
            't' => $sounded ? $note->at / 1_000 : null,
            'timing' => $sounded ? $note->timing->value : null,
            'hold' => $sounded ? $note->hold->value : null,
        ];
    }
}
