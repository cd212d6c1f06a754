<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Stem;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The examples Porter gives with step 1 of his algorithm (1980, Program 14, pp. 130–137). */
final class StemTest extends TestCase
{
    #[TestWith(['caresses', 'caress'])]
    #[TestWith(['ponies', 'poni'])]
    #[TestWith(['ties', 'ti'])]
    #[TestWith(['caress', 'caress'])]
    #[TestWith(['cats', 'cat'])]
    #[TestWith(['feed', 'feed'])]
    #[TestWith(['agreed', 'agree'])]
    #[TestWith(['plastered', 'plaster'])]
    #[TestWith(['bled', 'bled'])]
    #[TestWith(['motoring', 'motor'])]
    #[TestWith(['sing', 'sing'])]
    #[TestWith(['conflated', 'conflate'])]
    #[TestWith(['troubled', 'trouble'])]
    #[TestWith(['sized', 'size'])]
    #[TestWith(['hopping', 'hop'])]
    #[TestWith(['tanned', 'tan'])]
    #[TestWith(['falling', 'fall'])]
    #[TestWith(['hissing', 'hiss'])]
    #[TestWith(['fizzed', 'fizz'])]
    #[TestWith(['failing', 'fail'])]
    #[TestWith(['filing', 'file'])]
    #[TestWith(['happy', 'happi'])]
    #[TestWith(['sky', 'sky'])]
    public function test_step_one(string $word, string $stem): void
    {
        self::assertSame($stem, Stem::of($word));
    }
}
