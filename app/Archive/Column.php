<?php

declare(strict_types=1);

namespace App\Archive;

use App\Page\Photo\KeptPhoto;
use Closure;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;

/** What a column of an archive may hold. Everything that comes in an archive is taken to be hostile. */
final readonly class Column
{
    /** No row has a higher number; those of a hostile archive must not use the numbers up. */
    private const HIGHEST = 1_000_000_000_000;

    private const FIRST_DAY = '1990-01-01';

    private const LAST_DAY = '2099-12-31';

    /**
     * @param  Closure(mixed): mixed  $take  gives what is stored; throws BadInput
     * @param  string|null  $since  the migration that made it; an older archive has none
     */
    private function __construct(private Closure $take, private bool $nullable = false, public ?string $since = null, public mixed $missing = null) {}

    /** @throws BadInput with what it should be */
    public function taken(mixed $value): mixed
    {
        return $value === null && $this->nullable ? null : ($this->take)($value);
    }

    public function orNull(): self
    {
        return new self($this->take, true, $this->since, $this->missing);
    }

    /** @param mixed $missing what stands where an archive is older */
    public function since(string $migration, mixed $missing): self
    {
        return new self($this->take, $this->nullable, $migration, $missing);
    }

    public static function number(): self
    {
        return self::whole(1, self::HIGHEST);
    }

    public static function whole(int $least, int $most): self
    {
        return self::that(static fn (mixed $value): bool => is_int($value) && $value >= $least && $value <= $most, "a whole number from {$least} to {$most}");
    }

    public static function yes(): self
    {
        return self::whole(0, 1);
    }

    /** @param int $most letters */
    public static function text(int $most, int $least = 0): self
    {
        return self::that(static fn (mixed $value): bool => is_string($value) && mb_check_encoding($value, 'UTF-8') && mb_strlen($value) <= $most && mb_strlen($value) >= $least && ! str_contains($value, "\0"), "a text of {$least} to {$most} letters");
    }

    public static function matching(string $pattern, string $what): self
    {
        return self::that(static fn (mixed $value): bool => is_string($value) && preg_match($pattern, $value) === 1, $what);
    }

    public static function picture(): self
    {
        return self::that(KeptPhoto::isPicture(...), 'a picture');
    }

    /** @param list<string>|class-string<\BackedEnum> $of */
    public static function oneOf(array|string $of): self
    {
        $choices = is_array($of) ? $of : array_map(static fn (\BackedEnum $case): string => (string) $case->value, $of::cases());

        return self::that(static fn (mixed $value): bool => in_array($value, $choices, true), 'one of '.implode(', ', $choices));
    }

    public static function date(): self
    {
        return self::that(static fn (mixed $value): bool => self::isMoment($value, 'Y-m-d'), 'a date, as 2031-05-06');
    }

    public static function moment(): self
    {
        return self::that(static fn (mixed $value): bool => self::isMoment($value, 'Y-m-d H:i:s'), 'a date and time, as 2031-05-06 15:30:00');
    }

    public static function time(): self
    {
        return self::matching('/^([01]\d|2[0-3]):[0-5]\d:[0-5]\d$/D', 'a time, as 15:30:00');
    }

    public static function timezone(): self
    {
        return self::that(static fn (mixed $value): bool => is_string($value) && in_array($value, timezone_identifiers_list(\DateTimeZone::ALL_WITH_BC), true), 'a time zone, as Europe/Vienna');
    }

    public static function mail(): self
    {
        return self::that(static fn (mixed $value): bool => is_string($value) && strlen($value) <= 190 && filter_var($value, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) !== false, 'a mail address');
    }

    public static function hash(): self
    {
        return self::matching('/^[0-9a-f]{64}$/D', 'a hash');
    }

    public static function place(): self
    {
        return self::matching('~^\d{1,5}\.\d{1,3}(\+\d{1,7}/\d{1,7})?$~D', 'a place, as 5.1');
    }

    public static function key(): self
    {
        return self::matching('/^[0-9A-Za-z-]{1,36}$/D', 'a key, as a phone makes it');
    }

    /** Goes through reader and writer like an upload, and is what they make of it. */
    public static function music(): self
    {
        return new self(static function (mixed $value): string {
            if (! is_string($value)) {
                throw BadBackup::notMusicXml();
            }

            return MusicXmlWriter::write(MusicXmlReader::kept($value));
        });
    }

    /** @param Closure(string): mixed $take gives what is stored */
    public static function read(Closure $take): self
    {
        return new self(static fn (mixed $value): mixed => is_string($value) ? $take($value) : throw BadBackup::noText());
    }

    /** What is worked out anew and not taken on trust. */
    public static function workedOut(): self
    {
        return new self(static fn (mixed $value): null => null, true);
    }

    /** @param Closure(mixed): bool $holds */
    private static function that(Closure $holds, string $what): self
    {
        return new self(static fn (mixed $value): mixed => $holds($value) ? $value : throw BadBackup::isNot($what));
    }

    private static function isMoment(mixed $value, string $format): bool
    {
        $date = is_string($value) && strlen($value) < 20 && ! str_contains($value, "\0") ? \DateTimeImmutable::createFromFormat("!{$format}", $value) : false;

        return $date !== false && $date->format($format) === $value && $value >= self::FIRST_DAY && $value <= self::LAST_DAY.' 24';
    }
}
