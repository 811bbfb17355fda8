<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;

/** The sentences for the lines and the spaces of each clef, bottom to top; a word begins with the letter of its place (trade 3.3). */
final readonly class Phrases
{
    /** What each sentence spells. */
    public const LETTERS = [
        'treble line' => 'EGBDF', 'treble space' => 'FACE', 'bass line' => 'GBDFA', 'bass space' => 'ACEG',
    ];

    /** To choose from; the first stands until another is chosen. */
    public const CHOICES = [
        'treble line' => ['Every Goat Brings Dried Figs', 'Eager Geese Borrow Dad\'s Flippers', 'Even Giants Bake Double Fudge'],
        'treble space' => ['Foxes Arrive Carrying Eggs', 'Four Ants Climb Everest', 'Find A Crooked Elbow'],
        'bass line' => ['Green Beetles Dance For Apples', 'Grandpa\'s Boots Drip From Above', 'Gulls Bring Dinner Fridays Always'],
        'bass space' => ['Ants Climb Every Gate', 'A Camel Eats Grapes', 'Aunt Cora Enjoys Gardening'],
    ];

    private const MOST = 80;

    /** @param array<string, non-empty-list<string>> $words by place */
    private function __construct(private array $words) {}

    public static function usual(): self
    {
        return self::of([]);
    }

    /**
     * @param  array<string, string>  $sentences  by `treble line`, `bass space`, …; an empty one, or none, is the usual one
     *
     * @throws InvalidReading that names the first word that begins with another letter
     */
    public static function of(array $sentences): self
    {
        $words = [];
        foreach (self::LETTERS as $place => $letters) {
            $sentence = trim($sentences[$place] ?? '');
            $words[$place] = self::words($place, $letters, $sentence === '' ? self::CHOICES[$place][0] : $sentence);
        }

        return new self($words);
    }

    /**
     * @return non-empty-list<string>
     *
     * @throws InvalidReading
     */
    private static function words(string $place, string $letters, string $sentence): array
    {
        if (mb_strlen($sentence) > self::MOST) {
            throw InvalidReading::sentenceTooLong($place, self::MOST);
        }
        $words = preg_split('/\s+/u', $sentence, -1, PREG_SPLIT_NO_EMPTY) ?: [''];
        if (count($words) !== strlen($letters)) {
            throw InvalidReading::wordsMissing($place, $letters, count($words));
        }
        foreach ($words as $i => $word) {
            if (mb_strtoupper(mb_substr($word, 0, 1)) !== $letters[$i]) {
                throw InvalidReading::wordOfAnotherLetter($place, $word, $letters[$i]);
            }
        }

        return $words;
    }

    /**
     * The words from the bottom up to a place.
     *
     * @param  int  $place  lines and spaces from the bottom line, which is 0
     */
    public function upTo(Clef $clef, int $place): string
    {
        $kind = $place % 2 === 0 ? 'line' : 'space';

        $staff = $clef->sign() === 'F' ? Clef::Bass : Clef::Treble;

        return implode(' ', array_slice($this->words["{$staff->value} {$kind}"] ?? [], 0, intdiv($place, 2) + 1));
    }

    /** @return array<string, string> by place */
    public function all(): array
    {
        return array_map(static fn (array $words): string => implode(' ', $words), $this->words);
    }
}
