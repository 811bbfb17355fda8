<?php

declare(strict_types=1);

namespace App\Http;

use DateTimeInterface;
use Illuminate\Support\Facades\App;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Wording\Variety;

/** The English that an answer is in: the studio's, once it is known who asks; before that, and on the command line, the British that texts are written in. */
final readonly class English
{
    private const LOCALES = ['en_US' => NoteWords::American, 'en_GB' => NoteWords::British];

    public static function speak(NoteWords $words): void
    {
        App::setLocale((string) array_search($words, self::LOCALES, true));
    }

    public static function words(): NoteWords
    {
        return self::LOCALES[App::getLocale()] ?? NoteWords::British;
    }

    /** A text of the product, as it is said here. */
    public static function text(string $text): string
    {
        return Variety::in(self::words(), $text);
    }

    /** Times of day in a text: `15:30 to 16:00`, `3:30 pm to 4:00 pm`. */
    public static function times(string $text): string
    {
        return self::words() === NoteWords::British ? $text : (string) preg_replace_callback(
            '/\b([01]\d|2[0-3]):([0-5]\d)\b/',
            static fn (array $time): string => (((int) $time[1] + 11) % 12 + 1).":{$time[2]} ".((int) $time[1] < 12 ? 'am' : 'pm'),
            $text,
        );
    }

    /** `27 Nov`, `Nov 27` */
    public static function shortDay(DateTimeInterface $day): string
    {
        return $day->format(self::words() === NoteWords::American ? 'M j' : 'j M');
    }

    /** `27 November`, `November 27` */
    public static function day(DateTimeInterface $day): string
    {
        return $day->format(self::words() === NoteWords::American ? 'F j' : 'j F');
    }

    /** `Friday, 27 November`, `Friday, November 27` */
    public static function weekday(DateTimeInterface $day): string
    {
        return $day->format('l, ').self::day($day);
    }

    /** `27 November 2031`, `November 27, 2031` */
    public static function date(DateTimeInterface $day): string
    {
        return self::day($day).$day->format(self::words() === NoteWords::American ? ', Y' : ' Y');
    }

    /**
     * What an answer says went wrong.
     *
     * @param  array<array-key, mixed>  $told  messages, and lists of them
     * @return array<array-key, mixed>
     */
    public static function errors(array $told): array
    {
        return array_map(static fn (mixed $one): mixed => is_array($one) ? self::errors($one) : (is_string($one) ? self::text($one) : $one), $told);
    }
}
