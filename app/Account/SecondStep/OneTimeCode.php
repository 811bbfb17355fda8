<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

/** Codes of an authenticator app: six digits that hold for thirty seconds (RFC 6238 with SHA-1, as every such app reckons them). */
final class OneTimeCode
{
    private const SECONDS = 30;

    private const DIGITS = 6;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** Steps before and after now that are taken too, for clocks that are not set well. */
    private const DRIFT = 1;

    /** A new secret of 160 bits, in base 32. */
    public static function secret(): string
    {
        $secret = '';
        for ($letter = 0; $letter < 32; $letter++) {
            $secret .= self::ALPHABET[random_int(0, 31)];
        }

        return $secret;
    }

    /** The code of a time step; `$digits` is 6 but in the test vectors. */
    public static function at(string $secret, int $step, int $digits = self::DIGITS): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::bytes($secret), true);
        $offset = ord($hash[19]) & 15;
        $number = (int) hexdec(bin2hex(substr($hash, $offset, 4))) & 0x7FFFFFFF;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    public static function step(int $time): int
    {
        return intdiv($time, self::SECONDS);
    }

    /**
     * The time step whose code it is, near now and later than the last one that was taken.
     *
     * @return ?int null for a code that is wrong, or was used
     */
    public static function taken(string $secret, string $code, int $time, ?int $used): ?int
    {
        $now = self::step($time);
        for ($step = $now - self::DRIFT; $step <= $now + self::DRIFT; $step++) {
            if ($step > ($used ?? 0) && hash_equals(self::at($secret, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** What an app reads from the code on the screen. */
    public static function address(string $secret, string $account): string
    {
        return 'otpauth://totp/Nasturtium:'.rawurlencode($account).'?'.http_build_query(['secret' => $secret, 'issuer' => 'Nasturtium']);
    }

    private static function bytes(string $secret): string
    {
        $bits = '';
        foreach (str_split($secret) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(static fn (string $byte): string => chr((int) bindec($byte)), str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8)));
    }
}
