<?php

declare(strict_types=1);

namespace App\Account;

use App\Api\ListOf;
use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Reading\Phrases;
use OpenApi\Attributes as OA;

/** A studio and its settings; `today` is the date where it is. */
#[OA\Schema]
final readonly class StudioResource
{
    /**
     * @param  list<WordsAtResource>  $phrases
     * @param  list<WordsAtResource>  $countWords
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public NoteWords $words,
        #[OA\Property]
        public Paper $paper,
        #[OA\Property]
        public string $timezone,
        #[OA\Property]
        public string $today,
        #[OA\Property]
        public int $consentAge,
        #[OA\Property]
        public int $keepDrafts,
        #[OA\Property]
        public int $keepMails,
        #[ListOf(WordsAtResource::class)]
        public array $phrases,
        #[ListOf(WordsAtResource::class)]
        public array $countWords,
    ) {}

    public static function of(Studio $studio): self
    {
        return new self($studio->id, $studio->name, $studio->words, $studio->paper, $studio->timezone, $studio->today()->toDateString(), $studio->consent_age, $studio->keep_drafts, $studio->keep_mails, self::phrases($studio), self::countWords($studio));
    }

    /** @return list<WordsAtResource> as they stand, with what there is to choose from and the letters they spell */
    private static function phrases(Studio $studio): array
    {
        $rows = [];
        foreach (Phrases::of($studio->phrases ?? [])->all() as $at => $words) {
            $rows[] = new WordsAtResource($at, $at, $words, Phrases::CHOICES[$at] ?? [], Phrases::LETTERS[$at] ?? '');
        }

        return $rows;
    }

    /** @return list<WordsAtResource> the studio's own, empty where there is none; the time name is the choice */
    private static function countWords(Studio $studio): array
    {
        $usual = LengthWords::timeNames()->all();

        return array_map(static fn (string $length): WordsAtResource => new WordsAtResource($length, LengthWords::label($length, $studio->words), $studio->count_words[$length] ?? '', [$usual[$length] ?? '']), LengthWords::LENGTHS);
    }
}
