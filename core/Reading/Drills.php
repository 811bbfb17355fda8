<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** What to drill before a page is opened: what is new, then what is shaky, the most frequent first (trade 3.6). */
final readonly class Drills
{
    /**
     * @param  list<InventoryNote>  $notes
     * @return list<Drill>
     */
    public static function before(array $notes): array
    {
        $open = array_values(array_filter($notes, static fn (InventoryNote $note): bool => $note->status !== NoteStatus::Secure));
        usort($open, static fn (InventoryNote $a, InventoryNote $b): int => [$a->status === NoteStatus::Fresh ? 0 : 1, $b->times, $a->pitch->midi()] <=> [$b->status === NoteStatus::Fresh ? 0 : 1, $a->times, $b->pitch->midi()]);

        return array_map(static function (InventoryNote $note): Drill {
            $often = $note->times === 1 ? 'once' : "{$note->times} times";

            return new Drill($note->clef, $note->pitch, $note->status, $note->status === NoteStatus::Fresh ? "new, {$often} on this page" : "shaky, {$often} on this page");
        }, $open);
    }
}
