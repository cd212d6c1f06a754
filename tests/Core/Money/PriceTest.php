<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Input\InputError;
use OddBench\Money\Price;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PriceTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function read(): iterable
    {
        foreach ([
            '200' => 20_000, '200.00' => 20_000, '200,00' => 20_000, '12,5' => 1250, ' 12.05 ' => 1205, '0' => 0, '007' => 700,
            '1.234,50' => 123_450, '1,234.50' => 123_450, '1 234,50' => 123_450, "1'234.50" => 123_450, '1.234.567' => 123_456_700,
            '200,-' => 20_000, '200 EUR' => 20_000, 'EUR 200' => 20_000, '€ 12.50' => 1250, '12,50€' => 1250, '200 eur' => 20_000,
        ] as $text => $minor) {
            yield (string) $text => [(string) $text, $minor];
        }
    }

    #[DataProvider('read')]
    public function test_prices_are_read_as_people_write_them(string $text, int $minor): void
    {
        self::assertSame($minor, Price::read($text, 'EUR', 'asked'));
    }

    #[TestWith(['1,2,3', 'more than one sign'])]
    #[TestWith(['12,50,00', 'more than one sign'])]
    #[TestWith(['1.2.3', 'more than one sign'])]
    #[TestWith(['1,234', 'can be read as 1234'])]
    #[TestWith(['1.234', 'can be read as 1234'])]
    #[TestWith(['12.3456', 'more than two places'])]
    #[TestWith(['-5', 'below zero'])]
    #[TestWith(['200 USD', 'is in USD; the shop counts in EUR'])]
    #[TestWith(['$200', 'is in USD'])]
    #[TestWith(['', 'Give a sum'])]
    #[TestWith(['a lot', 'is no sum'])]
    #[TestWith(['12345678', 'more than any machine'])]
    #[TestWith(['1e3', 'is no sum'])]
    public function test_what_is_no_price_is_refused_with_the_way_out(string $text, string $message): void
    {
        try {
            Price::read($text, 'EUR', 'asked');
            self::fail("“{$text}” was read");
        } catch (InputError $e) {
            self::assertSame('asked', $e->field);
            self::assertStringContainsString($message, $e->getMessage());
        }
    }
}
