<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Input\InputError;

/** A price as people write it, read to minor units or refused with what it could mean. */
final readonly class Price
{
    private const SIGNS = ['€' => 'EUR', '$' => 'USD', '£' => 'GBP', '¥' => 'JPY', '₹' => 'INR'];

    /** Ten million of the currency is no price of a printer. */
    private const MOST_DIGITS = 7;

    private const EXAMPLE = '1234.50';

    /**
     * Comma or point before the hundredths, the other one, a blank or an apostrophe between thousands; the shop’s own currency may
     * stand beside it.
     *
     * @param  string  $currency  of the shop, ISO 4217
     *
     * @throws InputError at the field when it is no price, can be read in two ways, or is in another currency
     */
    public static function read(string $text, string $currency, string $field): int
    {
        $shown = mb_strcut(mb_scrub(trim($text)), 0, 40);
        $plain = str_replace(["\u{A0}", "\u{202F}", "\u{2009}", ' ', "'", '’'], '', mb_scrub(trim($text)));
        $plain = self::withoutCurrency($plain, $currency, $shown, $field);
        $plain = (string) preg_replace('/[.,](-|–|—)$/u', '', $plain);
        if (preg_match('/^\d+$/', $plain) === 1) {
            return self::minor($plain, '', $shown, $field);
        }
        if (preg_match('/^[-−]/u', $plain) === 1) {
            throw InputError::at($field, "“{$shown}” is below zero. Give the sum itself.");
        }
        if (preg_match('/^(\d+)[.,](\d{1,2})$/', $plain, $m) === 1) {
            return self::minor($m[1], $m[2], $shown, $field);
        }
        // thousands in threes by one sign, hundredths after the other
        if (preg_match('/^(\d{1,3}(?:\.\d{3})+)(?:,(\d{1,2}))?$/', $plain, $m) === 1
            || preg_match('/^(\d{1,3}(?:,\d{3})+)(?:\.(\d{1,2}))?$/', $plain, $m) === 1) {
            $whole = str_replace(['.', ','], '', $m[1]);
            if (! isset($m[2]) && preg_match('/^\d+[.,]\d{3}$/', $plain) === 1) {
                throw InputError::at(
                    $field,
                    "“{$shown}” can be read as {$whole} or with three places behind the point. Write {$whole}, or with two places.",
                );
            }

            return self::minor($whole, $m[2] ?? '', $shown, $field);
        }
        throw InputError::at($field, match (true) {
            $plain === '' => 'Give a sum, such as ',
            preg_match('/^\d+[.,]\d{3,}$/', $plain) === 1 => "“{$shown}” has more than two places behind the point. Write it as ",
            preg_match('/^\d[\d.,]*$/', $plain) === 1 => "“{$shown}” has more than one sign that could stand before the hundredths. "
                .'Write it as ',
            default => "“{$shown}” is no sum. Write it as ",
        }.self::EXAMPLE.'.');
    }

    /** As people read it: 1,234.50. */
    public static function words(int $minor): string
    {
        return number_format($minor / 100, 2);
    }

    private static function withoutCurrency(string $plain, string $currency, string $shown, string $field): string
    {
        if (preg_match('/^(\p{Sc}|[A-Za-z]{3})?([^\p{L}\p{Sc}]*)(\p{Sc}|[A-Za-z]{3})?$/u', $plain, $m) !== 1) {
            return $plain;
        }
        foreach (array_filter([$m[1], $m[3] ?? '']) as $sign) {
            $code = self::SIGNS[$sign] ?? strtoupper($sign);
            if ($code !== $currency) {
                throw InputError::at($field, "“{$shown}” is in {$code}; the shop counts in {$currency}. Give the sum in {$currency}.");
            }
        }

        return $m[2];
    }

    private static function minor(string $whole, string $hundredths, string $shown, string $field): int
    {
        $whole = ltrim($whole, '0');
        if (strlen($whole) > self::MOST_DIGITS) {
            throw InputError::at($field, "“{$shown}” is more than any machine here costs. Look at the figures again.");
        }

        return 100 * (int) $whole + (int) str_pad($hundredths, 2, '0');
    }
}
