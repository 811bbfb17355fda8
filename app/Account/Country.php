<?php

declare(strict_types=1);

namespace App\Account;

use DateTimeZone;
use Nasturtium\Core\Counting\NoteWords;

/** What the country of a studio decides: its time zone, its paper, and whose words its music has. All of it can be changed. */
final readonly class Country
{
    /** Letter is what is printed on there. */
    private const LETTER = ['US', 'CA', 'MX', 'PH', 'CL', 'CO', 'CR', 'GT', 'NI', 'PA', 'PR', 'SV', 'VE', 'DO'];

    /** Quarter notes and measures, not crotchets and bars. */
    private const US_WORDS = ['US', 'CA', 'MX', 'PH', 'PR', 'JP', 'KR', 'TW', 'CN', 'BR', 'CL', 'CO', 'CR', 'GT', 'NI', 'PA', 'SV', 'VE', 'DO'];

    /** Where most people live, of countries with several time zones. */
    private const MAIN = [
        'US' => 'America/New_York', 'CA' => 'America/Toronto', 'MX' => 'America/Mexico_City', 'BR' => 'America/Sao_Paulo', 'AR' => 'America/Argentina/Buenos_Aires',
        'CL' => 'America/Santiago', 'EC' => 'America/Guayaquil', 'AU' => 'Australia/Sydney', 'NZ' => 'Pacific/Auckland', 'ID' => 'Asia/Jakarta', 'CN' => 'Asia/Shanghai',
        'ES' => 'Europe/Madrid', 'PT' => 'Europe/Lisbon', 'UA' => 'Europe/Kyiv', 'DE' => 'Europe/Berlin', 'GL' => 'America/Nuuk', 'PF' => 'Pacific/Tahiti',
    ];

    /** @param string $code two letters of ISO 3166 */
    public function __construct(private string $code) {}

    /** @return list<string> */
    public static function codes(): array
    {
        $codes = [];
        foreach (DateTimeZone::listIdentifiers() as $zone) {
            $code = (new DateTimeZone($zone))->getLocation()['country_code'] ?? '';
            if (preg_match('/^[A-Z]{2}$/', (string) $code) === 1) {
                $codes[(string) $code] = true;
            }
        }
        ksort($codes);

        return array_keys($codes);
    }

    /** The time zone that was named, where the country has it; its first otherwise. */
    public function timezone(?string $named): string
    {
        $zones = DateTimeZone::listIdentifiers(DateTimeZone::PER_COUNTRY, $this->code);

        return $named !== null && in_array($named, $zones, true) ? $named : self::MAIN[$this->code] ?? $zones[0] ?? 'UTC';
    }

    public function paper(): Paper
    {
        return in_array($this->code, self::LETTER, true) ? Paper::Letter : Paper::A4;
    }

    public function words(): NoteWords
    {
        return in_array($this->code, self::US_WORDS, true) ? NoteWords::American : NoteWords::British;
    }
}
