<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Computation\Catalogue;
use OddBench\Input\InputError;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Calls an instrument as a script does, by its name. */
abstract class InstrumentTestCase extends TestCase
{
    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    protected function compute(string $name, array $input): array
    {
        $result = Catalogue::of(TradeKnowledge::read())->named($name)->compute($input);
        // what goes out is JSON: neither NAN nor INF
        self::assertNotFalse(json_encode($result));

        return $result;
    }

    /** @param  array<string, mixed>  $input */
    protected function assertRefused(string $name, array $input, string $field): void
    {
        try {
            $this->compute($name, $input);
            self::fail("It was taken; {$field} should have been refused.");
        } catch (InputError $e) {
            self::assertSame($field, $e->field, $e->getMessage());
            self::assertNotSame('', $e->getMessage());
        }
    }
}
