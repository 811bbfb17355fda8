<?php

declare(strict_types=1);

namespace App\Drill;

use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Drill\Deck;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Reading\NoteStatus;

/** The decks of a student: the cards of each kind with how they were answered of late. */
final class DeckFor
{
    /** Answers to a card that are looked at: more change neither what is secure nor when it comes back. */
    private const OF_LATE = 20;

    /** A pair is confused from so many times on, in as many days. */
    private const CONFUSED = 2;

    private const CONFUSED_DAYS = 60;

    /** @var array<string, list<Answer>> by card */
    private array $answers = [];

    /** @var list<array{string, string}> notes, and the letters they were taken for */
    private array $confused = [];

    public function __construct(private readonly Student $student)
    {
        $ranked = DB::table('drill_answers')->where('student_id', $student->id)
            ->selectRaw('card, is_right, milliseconds, unix_timestamp(answered_at) as at, id, row_number() over (partition by card order by answered_at desc, id desc) as back');
        $rows = DB::query()->fromSub($ranked, 'ranked')->where('back', '<=', self::OF_LATE)->orderBy('at')->orderBy('id')->get();
        foreach ($rows as $row) {
            $this->answers[$row->card][] = new Answer((bool) $row->is_right, (int) $row->milliseconds, (int) $row->at);
        }
        $pairs = DB::table('drill_answers')->where('student_id', $student->id)->where('kind', DrillKind::Name->value)->where('is_right', false)->whereNotNull('note')->where('given', '!=', '')
            ->where('on_date', '>=', $student->today()->subDays(self::CONFUSED_DAYS)->toDateString())
            ->groupBy('note', 'given')->havingRaw('count(*) >= ?', [self::CONFUSED])->orderByRaw('count(*) desc')->orderBy('note')->orderBy('given')->selectRaw('note, given')->get();
        foreach ($pairs as $pair) {
            $this->confused[] = [(string) $pair->note, (string) $pair->given];
        }
    }

    /**
     * @param  list<string>  $cards  in the order they are met
     * @param  array<string, string>  $notes  of cards that are about one
     * @param  array<string, NoteStatus>  $known  by note
     */
    public function of(DrillKind $kind, array $cards, array $notes, array $known): Deck
    {
        $answers = array_intersect_key($this->answers, array_flip($cards));
        $enough = $this->student->enough();
        $status = [];
        foreach ($cards as $card) {
            if ($kind->tellsOfNotes() && isset($notes[$card])) {
                $status[$card] = $known[$notes[$card]] ?? NoteStatus::Fresh;
            } elseif (isset($answers[$card])) {
                $status[$card] = $enough->isSecure($answers[$card]) ? NoteStatus::Secure : NoteStatus::Shaky;
            }
        }

        return new Deck($cards, array_filter($status, static fn (NoteStatus $one): bool => $one !== NoteStatus::Fresh), $answers, $this->pairs($kind, $notes));
    }

    /**
     * @param  array<string, string>  $notes  by card
     * @return list<array{string, string}>
     */
    private function pairs(DrillKind $kind, array $notes): array
    {
        $pairs = [];
        $cards = array_flip($notes);
        foreach ($kind->tellsOfNotes() ? $this->confused : [] as [$note, $letter]) {
            $clef = strstr($note, ':', true);
            $like = array_filter($notes, static fn (string $other): bool => preg_replace('/-?\d+$/', '', $other) === "{$clef}:{$letter}");
            if (isset($cards[$note]) && $like !== []) {
                $pairs[] = [$cards[$note], (string) array_key_first($like)];
            }
        }

        return $pairs;
    }

    /** The most keys found in one race. */
    public static function best(Student $student): int
    {
        return (int) DB::table('drill_answers')->where('student_id', $student->id)->where('kind', DrillKind::Race->value)->selectRaw('max(cast(given as unsigned)) as most')->value('most');
    }
}
