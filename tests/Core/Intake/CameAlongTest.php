<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use OddBench\Input\InputError;
use OddBench\Intake\CameAlong;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CameAlongTest extends TestCase
{
    public function test_what_did_not_go_back_is_named(): void
    {
        self::assertSame('Mains cord in, not out.', (new CameAlong('Mains cord', 1, 0, null))->isMissing());
        self::assertSame('Spool: 3 in, 2 out.', (new CameAlong('Spool', 3, 2, null))->isMissing());
        self::assertNull((new CameAlong('Spool', 3, 3, null))->isMissing());
        self::assertNull((new CameAlong('Spool', 3, 2, 'used up, agreed'))->isMissing());
    }

    #[TestWith([0, 0])]
    #[TestWith([100, 0])]
    #[TestWith([1, 2])]
    #[TestWith([1, -1])]
    public function test_no_more_goes_out_than_came_in(int $came, int $went): void
    {
        $this->expectException(InputError::class);
        new CameAlong('Spool', $came, $went, null);
    }
}
