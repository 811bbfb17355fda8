<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** One token of a line of music. */
final readonly class Token
{
    private const TONE = '(?:[1-5](?:\+\+|--|[+\-n])?|[a-gA-G](?:\+\+|--|[+\-n])?[\',]*(?:\^[1-5])?)';

    private const MARKS = '(?:~|_{1,2}|\*|!|:[a-z]+(?:-[a-z]+)*)*';

    /** What newcomers write, which would otherwise be read as other music. */
    private const FOREIGN = '
        |(?<sharp>[a-gA-G]\#{1,2}[\',]*\d?)
        |(?<octave>(?:[A-G]|(?<=^|[\s|]|[\s|][whqvx])[a-g](?=\S*?(?:[\s|]|$)))(?:b|\+\+?|--?|n)?[\',]*\d+(?=[\s|]|$)|[A-G](?:b|\+\+?|--?|n)?[\',]*\d+)
        |(?<flat>[A-G]bb?(?![a-gA-G])|(?<!\S)[a-g]bb?(?!\S))
        |(?<voltatyped>\|[12]\.?(?=\s|$))
        |(?<slurtyped>[1-5][+\-n]*\((?=[^()|]*\)))
        |(?<figure>[06-9]\d*)
        |(?<slash>[1-5]\/[1-5])
    ';

    private const PATTERN = '/\G(?:
        (?<space>\s+)
        '.self::FOREIGN.'
        |(?<bar>:\||\|:|\|\|(?!:)|\|)(?:\*(?<times>[2-9]))?
        |\[(?<command>[A-Za-z0-9](?:[^\[\]|"]|(?<=C)\|)*)\]
        |\[(?<ending>\d(?:,\d)*)
        |@(?:(?<finger>[1-5])=)?(?<position>[a-gA-G](?:\#|b)?\d)
        |(?<length>[whqvxy]\.{0,2})
        |\((?<chord>[^()|]*)\)(?<chordmarks>'.self::MARKS.')
        |(?<grace>`{1,2})(?<gracevalue>[hqvxy])?(?<gracetone>'.self::TONE.')(?<graceslurs>_{0,2})
        |(?<tone>'.self::TONE.')(?<marks>'.self::MARKS.')
        |(?<rest>r)(?<restmarks>'.self::MARKS.')
        |(?<skip>o)
        |(?<wholerest>\/)
        |(?<copy>=\d{1,4}(?:-\d{1,4})?|%)
        |(?<open>\{)(?:(?<actual>\d{1,2}):(?<normal>\d{1,2}))?
        |(?<close>\})
        |(?<hairpin>[<>])
        |(?<level>\.)
        |"(?<words>[^"]*)"
        |(?<odd>[[:alpha:]]+|\S)
    )/xu';

    private const OCTAVES = 'A letter is the nearest one, \' an octave higher and , an octave lower.';

    /** @param array<string, string> $parts what was found, by the names in the pattern */
    private function __construct(public array $parts, public Span $at) {}

    /**
     * @param  int  $line  of the whole text, from 1
     * @param  int  $column  where the music begins in it
     * @return list<self> without the spaces
     */
    public static function all(string $text, int $line, int $column): array
    {
        $tokens = [];
        $offset = 0;
        while ($offset < strlen($text) && preg_match(self::PATTERN, $text, $found, PREG_UNMATCHED_AS_NULL, $offset) === 1) {
            $whole = (string) $found[0];
            $at = new Span($line, $column, $whole);
            $offset += strlen($whole);
            $column += mb_strlen($whole);
            $parts = [];
            foreach ($found as $name => $part) {
                if (is_string($name) && $part !== null) {
                    $parts[$name] = $part;
                }
            }
            if (! isset($parts['space'])) {
                $tokens[] = new self($parts, $at);
            }
        }
        if ($offset < strlen($text)) {
            // Letters that are none, as half of one that was cut.
            $tokens[] = new self([], new Span($line, $column, mb_substr(mb_scrub(substr($text, $offset)), 0, 20)));
        }

        return $tokens;
    }

    /**
     * @param  array<string, string>  $parts
     * @return string|null what should be typed in the place of a token that means something elsewhere; null when it means something here
     */
    public static function rightOne(array $parts, string $typed): ?string
    {
        $letter = strtolower($typed[0] ?? '');

        return match (true) {
            isset($parts['sharp']) => "A sharp is +: write {$letter}".(str_contains($typed, '##') ? '++' : '+').', not '.$typed.'.',
            isset($parts['flat']) => "A flat is -: write {$letter}- for ".strtoupper($letter).' flat, or put a space between two notes.',
            isset($parts['octave']) => preg_match('/^[a-g]b/i', $typed) === 1
                ? "A flat is -: write {$letter}-. ".self::OCTAVES
                : self::OCTAVES.' For a finger write '.$letter.'^'.substr($typed, -1).', and put a space between two notes.',
            isset($parts['voltatyped']) => 'A first ending is [1, a second [2. For finger '.trim($typed, '|.').' put a space after the bar line: | '.trim($typed, '|.').'.',
            isset($parts['slurtyped']) => 'A slur is _ after its first and its last note: 1_ 2 3_. Brackets hold a chord; put a space before one.',
            isset($parts['figure']) => match ($typed) {
                '8' => 'Half of q is v, as in v1 2. Fingers are 1 to 5.',
                '0' => 'A rest is r. Fingers are 1 to 5.',
                default => 'Fingers are 1 to 5. Lengths are letters: w h q v x, from the longest to the shortest.',
            },
            isset($parts['slash']) => 'Lengths are letters: w h q v x, from the longest to the shortest. A time signature is [time 3/4].',
            default => null,
        };
    }

    /**
     * The notes inside the brackets of a chord.
     *
     * @return list<array{string, bool}>|null each with its own tie; null when something else stands there
     */
    public static function tones(string $inside): ?array
    {
        if (preg_match_all('/\G\s*('.self::TONE.')(~?)/', $inside, $found, PREG_SET_ORDER) === 0 || trim($inside) === '') {
            return null;
        }
        $whole = implode('', array_map(static fn (array $one): string => $one[0], $found));

        return strlen(rtrim($inside)) === strlen($whole)
            ? array_map(static fn (array $one): array => [$one[1], $one[2] !== ''], $found)
            : null;
    }
}
