<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use OddBench\Input\InputError;
use OddBench\Instruments\Screw;
use OddBench\Repair\FastenerList;
use OddBench\Repair\FastenerSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Fasteners as people type them; sizes of ISO 261, heads of ISO 4762, ISO 7380 and ISO 10642. */
final class FastenerListTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, int>}> */
    public static function readable(): iterable
    {
        yield 'as the bench types it' => ['4 M3x12', ['M3×12' => 4]];
        yield 'with a sign between' => ['4x M3x12', ['M3×12' => 4]];
        yield 'without a blank' => ['4xM3x12', ['M3×12' => 4]];
        yield 'the printed sign' => ['4 × M3×12', ['M3×12' => 4]];
        yield 'the count behind' => ['M3x12 x4', ['M3×12' => 4]];
        yield 'one of it' => ['M3x12', ['M3×12' => 1]];
        yield 'small letters' => ['2 m2.5x8', ['M2.5×8' => 2]];
        yield 'a decimal comma inside a size' => ['2 M2,5x8', ['M2.5×8' => 2]];
        yield 'a decimal comma and a list' => ['2 M2,5x8, 1 M3x6', ['M2.5×8' => 2, 'M3×6' => 1]];
        yield 'heads by other words' => [
            '2 M3x8 btn; 1 M4x14 flat + 3 M3x10 cap',
            ['M3×8 button' => 2, 'M4×14 countersunk' => 1, 'M3×10 cylinder' => 3],
        ];
        yield 'grub screws' => ['2 M3x4 grub', ['M3×4 grub' => 2]];
        yield 'nuts and washers' => ['1 M5 nut and 2 M3 washers', ['M5 nut' => 1, 'M3 washer' => 2]];
        yield 'locking nuts of both kinds' => ['1 locking nut, 2 M4 locking nut', ['locking nut' => 1, 'M4 locking nut' => 2]];
        yield 'tapping screws of ISO 1478' => ['3 ST2.9x9.5', ['ST2.9×9.5' => 3]];
        yield 'springs and clips' => ['1 spring, 2 clips', ['spring' => 1, 'clip' => 2]];
        yield 'the same size twice is added up' => ['2 M3x8, 3 M3×8', ['M3×8' => 5]];
        yield 'nothing' => ['', []];
    }

    /** @param  array<string, int>  $counts */
    #[DataProvider('readable')]
    public function test_it_reads(string $text, array $counts): void
    {
        self::assertSame($counts, FastenerList::read($text));
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'no thread is called so' => ['4 N3x12', '“4 N3x12” cannot be read'];
        yield 'a size outside ISO 261' => ['4 M3.3x12', 'cannot be read'];
        yield 'longer than any' => ['1 M3x500', 'cannot be read'];
        yield 'a head nobody makes' => ['1 M3x8 starry', 'cannot be read'];
        yield 'a count below zero' => ['-4 M3x12', 'from 1 on, not -4'];
        yield 'none' => ['0 M3x12', 'from 1 on, not 0'];
        yield 'half a screw' => ['2.5 M3x12', 'from 1 on, not 2.5'];
        yield 'too many' => ['150 M3x12, 150 M3x12', 'up to 200'];
        yield 'the good one does not hide the bad one' => ['4 M3x12, 1 foo', '“1 foo” cannot be read'];
    }

    #[DataProvider('unreadable')]
    public function test_it_refuses_and_says_what_can_be_read(string $text, string $words): void
    {
        try {
            FastenerList::read($text, 'fasteners');
            self::fail("“{$text}” was read.");
        } catch (InputError $e) {
            self::assertSame('fasteners', $e->field);
            self::assertStringContainsString($words, $e->getMessage());
            if (str_contains($words, 'cannot be read')) {
                self::assertStringContainsString('4 M3x12', $e->getMessage());
            }
        }
    }

    public function test_what_it_writes_it_reads_again(): void
    {
        $counts = FastenerList::read('4 M3x12 button, 2 M2.5x8, 1 M5 t-nut, 2 M3 washer, 1 eccentric nut, 3 ST2.9x9.5');
        self::assertSame($counts, FastenerList::read(FastenerList::words($counts)));
    }

    public function test_every_size_a_family_has_is_readable_under_one_spelling(): void
    {
        foreach (TradeKnowledge::read()->families as $family) {
            self::assertNotSame([], $family->fasteners, $family->code);
            foreach ($family->fasteners as $name) {
                self::assertSame($name, FastenerSize::read($name)?->name);
            }
        }
    }

    public function test_a_designation_is_read_and_written(): void
    {
        $screw = Screw::read('m2,5 X 8');
        self::assertSame('M2.5×8', $screw?->designation());
        self::assertNull(Screw::read('M7x10'), 'M7 is no coarse size made here');
        self::assertNull(Screw::read('3x12'));
    }
}
