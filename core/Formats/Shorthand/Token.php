<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** One token of a line of music. */
final readonly class Token
{
    private const TONE = '(?:[1-5](?:\+\+|--|[+\-n])?|[a-gA-G](?:\+\+|--|[+\-n])?[\',]*(?:\^[1-5])?)';

    private const MARKS = '(?:~|_{1,2}|\*|!|:[a-z]+(?:-[a-z]+)*)*';

    private const PATTERN = '/\G(?:
        (?<space>\s+)
        |(?<bar>:\||\|:|\|\|(?!:)|\|)(?:\*(?<times>[2-9]))?
        |\[(?<command>[A-Za-z0-9](?:[^\[\]|"]|(?<=C)\|)*)\]
        |\[(?<ending>\d(?:,\d)*)
        |@(?:(?<finger>[1-5])=)?(?<position>[a-gA-G](?:\#|b)?\d)
        |(?<length>[whqvxy]\.{0,2})
        |\((?<chord>[^()|]*)\)(?<chordmarks>'.self::MARKS.')
        |(?<grace>`{1,2})(?<gracevalue>[hqvxy])?(?<gracetone>'.self::TONE.')
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
        |(?<odd>\S)
    )/x';

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
            $at = new Span($line, $column + mb_strlen(substr($text, 0, $offset)), $whole);
            $offset += strlen($whole);
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

        return $tokens;
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
