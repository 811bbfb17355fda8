<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Choice;

/** What a page of a book is (trade 2.1). */
enum PageKind: string implements Choice
{
    case Pieces = 'pieces';
    case Theory = 'theory';
    case Listening = 'listening';
    case Duet = 'duet';

    public function label(): string
    {
        return match ($this) {
            self::Pieces => 'Pieces to play',
            self::Theory => 'Theory',
            self::Listening => 'Listening',
            self::Duet => 'Duet',
        };
    }

    private const WORDS = [
        '' => self::Pieces, 'piece' => self::Pieces, 'exercise' => self::Pieces, 'exercises' => self::Pieces, 'song' => self::Pieces,
        'listen' => self::Listening, 'duets' => self::Duet,
    ];

    /** As a teacher may write it. */
    public static function of(string $word): ?self
    {
        $word = mb_strtolower(trim($word));

        return self::tryFrom($word) ?? self::WORDS[$word] ?? null;
    }

    /** It has music of its own. */
    public function hasPieces(): bool
    {
        return $this === self::Pieces || $this === self::Duet;
    }

    /** @return list<string> the values of those that are written or listened to */
    public static function withoutPieces(): array
    {
        return array_column(array_filter(self::cases(), static fn (self $kind): bool => ! $kind->hasPieces()), 'value');
    }
}
