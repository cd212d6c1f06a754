<?php

declare(strict_types=1);

namespace Tests\Core\Shop;

use OddBench\Shop\PinRule;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PinRuleTest extends TestCase
{
    #[TestWith(['12345'])]
    #[TestWith(['1234567'])]
    #[TestWith(['12a456'])]
    #[TestWith(['１２３４５６'])]
    #[TestWith([''])]
    public function test_it_is_six_digits(string $pin): void
    {
        self::assertSame('A PIN is 6 digits.', PinRule::refusal($pin));
    }

    #[TestWith(['000000'])]
    #[TestWith(['123456'])]
    #[TestWith(['987654'])]
    #[TestWith(['890123'])]
    #[TestWith(['121212'])]
    #[TestWith(['123123'])]
    #[TestWith(['454545'])]
    #[TestWith(['000001'])]
    #[TestWith(['112233'])]
    #[TestWith(['771177'])]
    public function test_rows_are_tried_first(string $pin): void
    {
        self::assertStringContainsString('tried first', (string) PinRule::refusal($pin));
    }

    #[TestWith(['280417'])]
    #[TestWith(['135791'])]
    #[TestWith(['112358'])]
    #[TestWith(['121213'])]
    #[TestWith(['112234'])]
    public function test_others_may_be_one(string $pin): void
    {
        self::assertNull(PinRule::refusal($pin));
    }
}
